import type { ReactNode } from "react";
import type { Desk } from "@/contract";
import { LostChanges } from "../parts/lost-changes";
import { Rail } from "./rail";

export const MalthouseShell = ({ desk, children }: { desk: Desk; children: ReactNode }) => (
  <div className="malthouse flex min-h-0 flex-1">
    <Rail desk={desk} />
    <main className="min-w-0 flex-1 p-6">
      <LostChanges
        desk="malthouse"
        says="You left Preferences without keeping what you changed there: it is as it was before."
      />
      <div className="mx-auto max-w-[900px] rounded-2xl bg-(--mm-page) p-7">{children}</div>
    </main>
  </div>
);
