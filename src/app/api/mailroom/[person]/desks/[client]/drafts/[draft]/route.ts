import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { dropDraft } from "@/server/mailroom/drafts";

export const DELETE = handle(endpoints.dropDraft, async ({ params }) =>
  dropDraft(params.person, params.draft),
);
