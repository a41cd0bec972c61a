interface Props {
  label: string;
  value: string;
  /** Where it is said what is wrong with it. */
  saysId: string;
  isBad?: boolean;
  placeholder?: string;
  onChange(value: string): void;
  onEnter(): void;
}

/** A figure inside a form that is saved as a whole: Enter adds the figure, and does not send the form. */
export function EnterField({ label, value, saysId, isBad = false, placeholder, onChange, onEnter }: Props) {
  return (
    <label className="text-xs">
      {label}
      <input
        className={`input min-h-11 w-full ${isBad ? 'input-error' : ''}`}
        inputMode="decimal"
        placeholder={placeholder}
        value={value}
        aria-describedby={saysId}
        onChange={({ target }) => onChange(target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          onEnter();
        }}
      />
    </label>
  );
}
