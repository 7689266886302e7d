import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { tellCopied } from "@/server/pages/pages";

export const POST = handle(endpoints.tellPageCopied, async ({ params }) => tellCopied(params.secret));
