import { Redo2, Undo2 } from "lucide-react";
import { IconButton } from "../icon-button";
import type { StepTools } from "./use-steps";

/** Taking the last step back, and forth again. */
export function StepButtons({ undo, redo, canUndo, canRedo }: Omit<StepTools<unknown>, "value" | "step">) {
  return (
    <span className="flex">
      <IconButton label="Undo (Ctrl Z)" disabled={!canUndo} onClick={undo}>
        <Undo2 size={16} aria-hidden />
      </IconButton>
      <IconButton label="Redo (Ctrl Shift Z)" disabled={!canRedo} onClick={redo}>
        <Redo2 size={16} aria-hidden />
      </IconButton>
    </span>
  );
}
