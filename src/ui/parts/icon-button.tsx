import type { ButtonHTMLAttributes, ReactNode } from "react";

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** Read out, and shown when the pointer rests on it. */
  readonly label: string;
  /** Mixed where only some of what it is about has it. */
  readonly pressed?: boolean | "mixed";
  readonly children: ReactNode;
}

export function IconButton({ label, pressed, className = "", children, ...rest }: Props) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      aria-pressed={pressed}
      className={`inline-flex h-7 min-w-7 items-center justify-center rounded-sm px-1 text-ink hover:bg-kelp disabled:opacity-40 disabled:hover:bg-transparent ${pressed === "mixed" ? "bg-kelp/50 text-pine" : pressed ? "bg-kelp text-pine" : ""} ${className}`}
      {...rest}
    >
      {children}
    </button>
  );
}
