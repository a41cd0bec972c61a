import { useId } from 'react';

interface LineProps {
  label: string;
  value: string;
  most: number;
  hint?: string;
  needed?: boolean;
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
  className = '',
  onText,
  onLeave,
}: LineProps) {
  const id = useId();
  const isMissing = needed && value.trim() === '';
  return (
    <div className={`flex flex-col ${className}`}>
      <label htmlFor={id} className="quiet text-xs">
        {label}
      </label>
      <input
        id={id}
        className={`input input-sm pointer-coarse:min-h-11 w-full ${isMissing ? 'input-error' : ''}`}
        autoComplete="off"
        maxLength={most}
        placeholder={hint}
        value={value}
        aria-invalid={isMissing}
        aria-describedby={isMissing ? `${id}-why` : undefined}
        onChange={({ target }) => onText(target.value)}
        onBlur={onLeave}
      />
      {isMissing && (
        <span id={`${id}-why`} className="text-error text-xs">
          Write something here.
        </span>
      )}
    </div>
  );
}
