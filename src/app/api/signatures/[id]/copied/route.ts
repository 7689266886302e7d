import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { tellCopied } from "@/server/mailroom/rehearsals";

export const POST = handle(endpoints.tellCopied, async ({ params }) => tellCopied(params.id));
