import type { ReactNode } from 'react';

interface Props {
  id: string;
  label: ReactNode;
  unit: string;
  text: string;
  isWhole?: boolean | undefined;
  disabled?: boolean | undefined;
  className?: string;
  /** What it says of itself stands under this id; null where it says nothing. */
  saysId: string | null;
  isFaulty: boolean;
  onText(text: string): void;
  /** What it says of itself. */
  children?: ReactNode;
}

/** A small field with its label above and its unit in it. */
export function UnitInput(props: Props) {
  const {
    id,
    label,
    unit,
    text,
    isWhole,
    disabled,
    className = '',
    saysId,
    isFaulty,
    onText,
    children,
  } = props;
  return (
    <div className={`flex flex-col ${className}`}>
      <label htmlFor={id} className="quiet text-xs">
        {label}
      </label>
      <div className="relative">
        <input
          id={id}
          className={`input input-sm w-full pointer-coarse:min-h-11 ${unit ? (unit.length > 2 ? 'pr-10' : 'pr-8') : ''} ${isFaulty ? 'input-error' : ''}`}
          inputMode={isWhole ? 'numeric' : 'decimal'}
          autoComplete="off"
          value={text}
          disabled={disabled}
          aria-invalid={isFaulty}
          aria-describedby={saysId ?? undefined}
          onChange={({ target }) => onText(target.value)}
        />
        {unit && (
          <span className="quiet pointer-events-none absolute top-1/2 right-2 -translate-y-1/2 text-xs">
            {unit}
          </span>
        )}
      </div>
      {children}
    </div>
  );
}
