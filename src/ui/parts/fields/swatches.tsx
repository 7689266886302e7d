interface Props {
  readonly label: string;
  readonly colors: readonly string[];
  readonly onPick: (color: string) => void;
}

/** Colours to take, under the name of where they are from. */
export function Swatches({ label, colors, onPick }: Props) {
  if (colors.length === 0) return null;
  return (
    <div className="mt-2">
      <p className="text-xs text-soft">{label}</p>
      <ul aria-label={label} className="mt-0.5 flex max-w-[200px] flex-wrap gap-1">
        {colors.map((color) => (
          <li key={color}>
            <button
              type="button"
              aria-label={color}
              title={color}
              onClick={() => onPick(color)}
              className="block h-5 w-5 rounded-[3px] border border-hairline"
              style={{ background: color }}
            />
          </li>
        ))}
      </ul>
    </div>
  );
}
