import { type ReactNode, useEffect, useId, useRef, useState } from 'react';
import type { Result } from '../../core/result';

interface Props<Value> {
  label: ReactNode;
  /** The value as text that is read back as itself. */
  written: string;
  className?: string;
  placeholder?: string;
  read(text: string): Result<Value, string>;
  onChange(value: Value): void;
}

/** A value that is typed the way it is said. What can't be read stays in the field with the reason. */
export function ParsedField<Value>({
  label,
  written,
  className = '',
  placeholder,
  read,
  onChange,
}: Props<Value>) {
  const id = useId();
  const [text, setText] = useState(written);
  const isTyping = useRef(false);
  useEffect(() => {
    // Changed from elsewhere (undo, a mend): show it. What is being typed here is left as it is typed.
    if (!isTyping.current) setText(written);
  }, [written]);
  const value = read(text);
  return (
    <div className={`flex flex-col ${className}`}>
      <label htmlFor={id} className="quiet text-xs">
        {label}
      </label>
      <input
        id={id}
        className={`input input-sm w-full pointer-coarse:min-h-11 ${value.success ? '' : 'input-error'}`}
        autoComplete="off"
        maxLength={80}
        placeholder={placeholder}
        value={text}
        aria-invalid={!value.success}
        aria-describedby={value.success ? undefined : `${id}-why`}
        onChange={({ target }) => {
          isTyping.current = true;
          setText(target.value);
          const next = read(target.value);
          if (next.success) onChange(next.data);
        }}
        onBlur={() => {
          isTyping.current = false;
          if (value.success) setText(written);
        }}
      />
      {!value.success && (
        <p id={`${id}-why`} role="alert" className="text-error max-w-56 text-xs">
          {value.error}
        </p>
      )}
    </div>
  );
}
