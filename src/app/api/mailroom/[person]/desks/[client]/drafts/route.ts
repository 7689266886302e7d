import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { keepDraft } from "@/server/mailroom/drafts";

export const POST = handle(endpoints.keepDraft, async ({ params, body }) => ({
  draft: await keepDraft(params.person, params.client, body),
}));
