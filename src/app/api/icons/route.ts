import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { addIcons, listOwnIcons } from "@/server/icons/icons";

export const GET = handle(endpoints.listOwnIcons, async () => ({ icons: await listOwnIcons() }));

export const POST = handle(endpoints.addIcons, async ({ query, file }) => addIcons(file(), query));
