import { checkPublicAddress } from "@/server/addresses/public-address";
import { route } from "@/server/http/route";

export const POST = route(async () => ({ check: await checkPublicAddress() }));
