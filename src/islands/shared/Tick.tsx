interface Props {
  label: string;
  isOn: boolean;
  isOff?: boolean;
  onChange(isOn: boolean): void;
}

/** A choice of yes or no, as large as a finger. */
export function Tick({ label, isOn, isOff = false, onChange }: Props) {
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2 leading-tight">
      <input
        type="checkbox"
        className="checkbox checkbox-sm"
        checked={isOn}
        disabled={isOff}
        onChange={({ target }) => onChange(target.checked)}
      />
      {label}
    </label>
  );
}
