import type { ReactNode } from "react";
import { buttonClass, type ButtonLook } from "../button";

interface Props {
  /** What it looks like and says. */
  readonly children: ReactNode;
  readonly look?: ButtonLook;
  /** Said instead of what it shows. */
  readonly label?: string;
  readonly accept?: string;
  readonly multiple?: boolean;
  /** Picks a whole folder. */
  readonly folder?: boolean;
  readonly disabled?: boolean;
  readonly onPick: (files: readonly File[]) => void;
}

/** A button that picks files; the same files can be picked again. */
export function FilePicker({
  children,
  look = "plain",
  label,
  accept,
  multiple = false,
  folder = false,
  disabled = false,
  onPick,
}: Props) {
  return (
    <label
      className={`${buttonClass(look)} cursor-pointer focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-pine ${disabled ? "opacity-40" : ""}`}
    >
      {children}
      <input
        type="file"
        aria-label={label}
        accept={accept}
        multiple={multiple || folder}
        disabled={disabled}
        className="sr-only"
        ref={(input) => {
          if (folder) input?.setAttribute("webkitdirectory", "");
        }}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = "";
          if (files.length > 0) onPick(files);
        }}
      />
    </label>
  );
}
