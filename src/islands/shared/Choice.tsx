import type { ReactNode } from 'react';

interface Props {
  label: string;
  value: string;
  className?: string;
  children: ReactNode;
  onChange(value: string): void;
}

/** A small choice with its name over it. */
export function Choice({ label, value, className = '', children, onChange }: Props) {
  return (
    <label className={`flex flex-col ${className}`}>
      <span className="quiet text-xs">{label}</span>
      <select
        className="select select-sm w-full pointer-coarse:min-h-11"
        value={value}
        onChange={({ target }) => onChange(target.value)}
      >
        {children}
      </select>
    </label>
  );
}
