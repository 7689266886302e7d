import type { ReactNode } from "react";
import type { Desk } from "@/contract";
import { LostChanges } from "../parts/lost-changes";

/** Oxbow: one narrow column, and a bar at its foot. */
export const OxbowShell = ({ desk, children }: { desk: Desk; children: ReactNode }) => (
  <div className="oxbow flex-1">
    <main className="oxbow-column">
      <p className="pb-4 text-(--ox-soft)">Oxbow, the desk of {desk.person.name}</p>
      <LostChanges desk="oxbow" says="The signatures were left and not kept: they are as they were." />
      {children}
    </main>
  </div>
);
