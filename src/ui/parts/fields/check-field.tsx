interface Props {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly disabled?: boolean;
  readonly className?: string;
}

/** Something that is so or is not. */
export function CheckField({ label, checked, onChange, disabled = false, className = "" }: Props) {
  return (
    <label className={`flex items-start gap-2 ${className}`}>
      <input
        type="checkbox"
        checked={checked}
        disabled={disabled}
        onChange={(event) => onChange(event.target.checked)}
        className="mt-1 shrink-0 accent-pine"
      />
      {label}
    </label>
  );
}
