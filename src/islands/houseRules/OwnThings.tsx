import { X } from 'lucide-react';
import type { ReactNode } from 'react';

interface Props<Thing> {
  things: readonly Thing[];
  /** What it can do, behind its name. */
  says(thing: Thing): string;
  onChange(things: Thing[]): void;
  /** More of it, below. */
  more?(thing: Thing): ReactNode;
}

/** What the workshop owns of a kind, each with a way to take it out. */
export function OwnThings<Thing extends { name: string }>({ things, says, onChange, more }: Props<Thing>) {
  return (
    <ul>
      {things.map((thing) => (
        <li key={thing.name} className="flex flex-wrap items-center gap-x-2">
          <span className="flex-1">
            <strong>{thing.name}</strong>: {says(thing)}
          </span>
          <button
            type="button"
            className="btn btn-ghost btn-square min-h-11 min-w-11"
            aria-label={`Take out ${thing.name}`}
            onClick={() => onChange(things.filter((each) => each !== thing))}
          >
            <X size={18} />
          </button>
          {more && <div className="w-full text-sm">{more(thing)}</div>}
        </li>
      ))}
    </ul>
  );
}
