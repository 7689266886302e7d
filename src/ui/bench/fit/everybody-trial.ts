/** One worker that tries documents with everybody, the last that it is asked about and no other. */
import type { Node } from "prosemirror-model";
import type { DirectoryPerson } from "@/contract";
import type { WhoFitsAnswer, WhoFitsRequest } from "@/workers/who-fits.worker";

export class EverybodyTrial {
  #worker: Worker | null = null;
  #busy = false;

  /** An earlier question that is not answered yet never is: nobody needs to know it any more. */
  ask(people: readonly DirectoryPerson[], document: Node, onAnswer: (answer: WhoFitsAnswer) => void): void {
    if (this.#busy) this.stop();
    const made = this.#worker === null;
    this.#worker ??= new Worker(new URL("../../../workers/who-fits.worker.ts", import.meta.url), {
      type: "module",
    });
    this.#busy = true;
    this.#worker.onmessage = ({ data }: MessageEvent<WhoFitsAnswer>) => {
      this.#busy = false;
      onAnswer(data);
    };
    // What could not be tried is asked of a new one next time.
    this.#worker.onerror = () => this.stop();
    const request: WhoFitsRequest = { people: made ? people : null, document: document.toJSON() };
    this.#worker.postMessage(request);
  }

  stop(): void {
    this.#worker?.terminate();
    this.#worker = null;
    this.#busy = false;
  }
}
