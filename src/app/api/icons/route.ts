import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { addIcons, listMayBeIcons, listOwnIcons } from "@/server/icons/icons";

export const GET = handle(endpoints.listOwnIcons, async () => ({
  icons: await listOwnIcons(),
  pictures: await listMayBeIcons(),
}));

export const POST = handle(endpoints.addIcons, async ({ query, file }) => addIcons(file(), query));
