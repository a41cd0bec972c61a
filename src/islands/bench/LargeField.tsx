interface Props {
  id: string;
  label: string;
  unit?: string;
  inputMode: 'numeric' | 'decimal';
  value: string;
  /** What is wrong with it; null where it can be read. */
  fault: string | null;
  /** What stands beside it where nothing is wrong. */
  says: string;
  /** It was just asked for. */
  isAsked?: boolean;
  onChange(value: string): void;
}

/** A figure that is typed at the bench, with what it means or what is wrong with it. */
export function LargeField({
  id,
  label,
  unit,
  inputMode,
  value,
  fault,
  says,
  isAsked = false,
  onChange,
}: Props) {
  return (
    <div>
      <label htmlFor={id} className="text-lg font-semibold">
        {label}
      </label>
      <div className="flex items-center gap-3">
        <input
          id={id}
          className={`input h-14 w-32 text-2xl ${fault === null ? '' : 'input-error'}`}
          // biome-ignore lint/a11y/noAutofocus: only where a press just asked for it.
          autoFocus={isAsked}
          inputMode={inputMode}
          autoComplete="off"
          value={value}
          aria-invalid={fault !== null}
          aria-describedby={`${id}-says`}
          onChange={({ target }) => onChange(target.value)}
        />
        {unit && <span className="text-xl">{unit}</span>}
        <span id={`${id}-says`} className={fault === null ? 'quiet' : 'text-error'}>
          {fault ?? says}
        </span>
      </div>
    </div>
  );
}
