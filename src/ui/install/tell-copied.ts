/** Tells rehearsals that a signature was copied to be pasted. */
import { endpoints } from "@/contract";
import { ask } from "../parts/asking/ask";

/** Whether a rehearsal is told changes nothing of what was copied. */
export const tellCopied = (id: string): void =>
  void ask(endpoints.tellCopied, { params: { id } }).catch(() => undefined);
