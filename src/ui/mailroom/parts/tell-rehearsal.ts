/** Tells a rehearsal, where one goes on, of what only the page knows. */
import { endpoints, type Desk } from "@/contract";
import { ask } from "../../parts/asking/ask";

export const tellRehearsal = ({ person, client }: Desk, happened: "pasted" | "attached"): void =>
  void ask(endpoints.tellRehearsal, { params: { person: person.id, client }, body: { happened } }).catch(
    // Whether it is told changes nothing of what was done.
    () => undefined,
  );
