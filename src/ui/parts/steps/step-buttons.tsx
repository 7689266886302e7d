import { Redo2, Undo2 } from "lucide-react";
import { IconButton } from "../icon-button";
import type { StepTools } from "./use-steps";

interface Props extends Omit<StepTools<unknown>, "value" | "step"> {
  /** What the next step back, and the next forth, would be about. */
  readonly undoes?: string | null;
  readonly redoes?: string | null;
}

const about = (says: string | null): string => (says === null ? "" : `: ${says}`);

/** Taking the last step back, and forth again. */
export function StepButtons({ undo, redo, canUndo, canRedo, undoes = null, redoes = null }: Props) {
  return (
    <span className="flex">
      <IconButton label={`Undo${about(undoes)} (Ctrl Z)`} disabled={!canUndo} onClick={undo}>
        <Undo2 size={16} aria-hidden />
      </IconButton>
      <IconButton label={`Redo${about(redoes)} (Ctrl Shift Z)`} disabled={!canRedo} onClick={redo}>
        <Redo2 size={16} aria-hidden />
      </IconButton>
    </span>
  );
}
