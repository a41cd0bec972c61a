import type { ReactNode } from 'react';

/** One line of the strip, with its name before it. */
export function Lane({ label, high, children }: { label: string; high: string; children: ReactNode }) {
  return (
    <div className={`relative ${high} mb-0.5`}>
      <span
        className="quiet absolute inset-y-0 -left-24 flex w-[88px] items-center truncate text-xs"
        title={label}
      >
        <span className="truncate">{label}</span>
      </span>
      {children}
    </div>
  );
}
