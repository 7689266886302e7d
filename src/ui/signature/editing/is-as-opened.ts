import type { OpenSignature } from "@/contract";
import type { EditedSignature } from "./use-signature";

/** Whether what is shown is what the page brought along. */
export const isAsOpened = (
  { saving, state }: Pick<EditedSignature, "saving" | "state">,
  { revision }: Pick<OpenSignature, "revision">,
): boolean => saving.kind === "saved" && saving.revision === revision && saving.document === state.doc;
