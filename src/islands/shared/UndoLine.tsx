import { useState } from 'react';
import type { useRecords } from './useRecords';

interface Props<Item extends { id: string; name: string }> {
  of: ReturnType<typeof useRecords<Item>>;
  /** After it was undone: the record is another than an open form has read. */
  onUndone?(id: string): void;
}

/** What was done to a record last, with the way back. */
export function UndoLine<Item extends { id: string; name: string }>({
  of: { last, undo },
  onUndone,
}: Props<Item>) {
  const [problem, setProblem] = useState<string | null>(null);
  if (!last) return null;
  const { item, did } = last;
  async function takeBack() {
    const refused = await undo();
    setProblem(
      refused?.code === 'changed-elsewhere'
        ? 'It was saved from somewhere else meanwhile, and stays as it is.'
        : (refused?.detail ?? null),
    );
    if (!refused) onUndone?.(item.id);
  }
  return (
    <p role="status" className="flex flex-wrap items-center gap-2 text-sm">
      {item.name} is {did}.
      <button type="button" className="btn btn-secondary btn-sm min-h-11" onClick={() => void takeBack()}>
        Undo
      </button>
      {problem && <span className="text-error w-full">{problem}</span>}
    </p>
  );
}
