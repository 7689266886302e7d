import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { tellOpened } from "@/server/pages/pages";

export const POST = handle(endpoints.tellPageOpened, async ({ params }) => tellOpened(params.secret));
