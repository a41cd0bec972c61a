import { X } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import type { StoredItem } from '../shared/saveQueue';
import { UndoLine } from '../shared/UndoLine';
import type { useRecords } from '../shared/useRecords';
import { VersionsLink } from '../shared/VersionsLink';

interface Props<Item extends { id: string; name: string }> {
  own: ReturnType<typeof useRecords<Item>>;
  /** What it can do, behind its name. */
  says(item: Item): string;
  /** More of it, below. */
  more?(stored: StoredItem<Item>): ReactNode;
}

/** What the workshop owns of a kind, each with a way to take it out and to put it back. */
export function OwnRecords<Item extends { id: string; name: string }>({ own, says, more }: Props<Item>) {
  const [problem, setProblem] = useState<string | null>(null);
  const takeOut = async (item: Item) => setProblem((await own.remove(item.id))?.detail ?? null);
  return (
    <>
      <ul>
        {own.records.map((stored) => (
          <li key={stored.item.id} className="flex flex-wrap items-center gap-x-2">
            <span className="flex-1">
              <strong>{stored.item.name}</strong>: {says(stored.item)}
            </span>
            <VersionsLink kind={own.kind} id={stored.item.id} name={stored.item.name} isIcon />
            <button
              type="button"
              className="btn btn-ghost btn-square min-h-11 min-w-11"
              aria-label={`Take out ${stored.item.name}`}
              onClick={() => void takeOut(stored.item)}
            >
              <X size={18} />
            </button>
            {more && <div className="w-full text-sm">{more(stored)}</div>}
          </li>
        ))}
      </ul>
      {own.last?.did === 'taken away' && <UndoLine of={own} />}
      {problem && (
        <p role="alert" className="text-error text-sm">
          {problem}
        </p>
      )}
    </>
  );
}
