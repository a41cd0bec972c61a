interface Props {
  label: string;
  /** ISO 8601; empty where there is none. */
  day: string;
  onDay(day: string): void;
}

/** A day, or none. */
export function DayField({ label, day, onDay }: Props) {
  return (
    <label className="flex flex-col">
      <span className="quiet text-xs">{label}</span>
      <input
        type="date"
        className="input input-sm pointer-coarse:min-h-11 w-full"
        value={day}
        onChange={({ target }) => onDay(target.value)}
      />
    </label>
  );
}
