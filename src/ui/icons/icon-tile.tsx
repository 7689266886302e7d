import type { ReactNode } from "react";

interface Props {
  readonly label: string;
  readonly onChoose: () => void;
  /** The icon, drawn small. */
  readonly children: ReactNode;
}

/** An icon to choose, over its name; an entry of a grid. */
export function IconTile({ label, onChoose, children }: Props) {
  return (
    <li>
      <button
        type="button"
        onClick={onChoose}
        className="flex w-full flex-col items-center gap-1.5 border border-hairline px-1 pb-1.5 pt-3 hover:border-pine"
      >
        {children}
        <span className="w-full truncate text-center text-xs">{label}</span>
      </button>
    </li>
  );
}
