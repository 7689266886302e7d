"use client";

interface Props {
  /** What those share of which one is chosen. */
  readonly name: string;
  readonly checked: boolean;
  readonly onChange: () => void;
  /** What it is. */
  readonly text: string;
  /** More of it, below that. */
  readonly more?: string;
}

/** One of a list of things to choose from, each with a line or two of text. */
export const RadioChoice = ({ name, checked, onChange, text, more }: Props) => (
  <label className="flex items-start gap-2 border-b border-hairline py-1 text-sm">
    <input
      type="radio"
      name={name}
      checked={checked}
      onChange={onChange}
      className="mt-1 shrink-0 accent-pine"
    />
    <span className="min-w-0">
      <span className="block truncate">{text}</span>
      {more !== undefined && <span className="block text-xs text-soft">{more}</span>}
    </span>
  </label>
);
