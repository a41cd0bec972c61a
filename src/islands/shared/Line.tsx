import { useId } from 'react';

interface LineProps {
  label: string;
  value: string;
  most: number;
  hint?: string;
  needed?: boolean;
  /** What is wrong with what stands there; null where nothing is. */
  fault?: string | null;
  inputMode?: 'numeric';
  className?: string;
  onText(text: string): void;
  onLeave?(): void;
}

/** A line to write on. */
export function Line({
  label,
  value,
  most,
  hint,
  needed = false,
  fault = null,
  inputMode,
  className = '',
  onText,
  onLeave,
}: LineProps) {
  const id = useId();
  const why = fault ?? (needed && value.trim() === '' ? 'Write something here.' : null);
  return (
    <div className={`flex flex-col ${className}`}>
      <label htmlFor={id} className="quiet text-xs">
        {label}
      </label>
      <input
        id={id}
        className={`input input-sm pointer-coarse:min-h-11 w-full ${why ? 'input-error' : ''}`}
        inputMode={inputMode}
        autoComplete="off"
        maxLength={most}
        placeholder={hint}
        value={value}
        aria-invalid={why !== null}
        aria-describedby={why ? `${id}-why` : undefined}
        onChange={({ target }) => onText(target.value)}
        onBlur={onLeave}
      />
      {why && (
        <span id={`${id}-why`} role={fault ? 'alert' : undefined} className="text-error text-xs">
          {why}
        </span>
      )}
    </div>
  );
}
