interface Props {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** A web address, typed or pasted whole. */
export function AddressField({ label, value, onChange }: Props) {
  return (
    <label className="min-w-0 flex-1">
      <span className="block text-xs text-soft">{label}</span>
      <input
        value={value}
        onChange={(event) => onChange(event.target.value)}
        placeholder="https://"
        inputMode="url"
        autoComplete="off"
        spellCheck={false}
        className="w-full border-b border-soft bg-transparent py-1 font-mono text-sm focus:border-pine"
      />
    </label>
  );
}
