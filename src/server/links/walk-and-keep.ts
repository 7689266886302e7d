import type { KeptAnswer } from "@/contract";
import { linesAnswer } from "../http/handle";
import { keepAnswer } from "./answers";
import { walkLinks } from "./walk";

/** Walks links, and answers with a line for each as it comes and is kept. Leaving stops it. */
export const walkAndKeep = (addresses: readonly string[], left: AbortSignal): Response =>
  linesAnswer<KeptAnswer>(
    (send, signal) => walkLinks(addresses, async (answer) => send(await keepAnswer(answer)), signal),
    left,
  );
