import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { takeKits } from "@/server/install/kits-for-all";

export const GET = handle(endpoints.takeKits, ({ params }) => takeKits(params.file));
