import { endpoints } from "@/contract";
import { checkPublicAddress } from "@/server/addresses/public-address";
import { handle } from "@/server/http/handle";

export const POST = handle(endpoints.checkPublicAddress, async () => ({ check: await checkPublicAddress() }));
