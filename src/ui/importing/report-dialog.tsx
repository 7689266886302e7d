"use client";

import type { NoteGroup } from "@/core/importing";
import { DialogFrame } from "../parts/dialog-frame";
import { ImportReport } from "./import-report";

interface Props {
  readonly groups: readonly NoteGroup[];
  readonly onClose: () => void;
}

/** The whole report of a paste. */
export function ReportDialog({ groups, onClose }: Props) {
  return (
    <DialogFrame
      title="What became of the paste"
      description="All text, links and pictures are on the sheet or in this list."
      onClose={onClose}
      className="flex w-[640px] flex-col"
    >
      <div className="mt-4 min-h-0 overflow-y-auto" tabIndex={0} role="region" aria-label="Report">
        <ImportReport groups={groups} />
      </div>
    </DialogFrame>
  );
}
