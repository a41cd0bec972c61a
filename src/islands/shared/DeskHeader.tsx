import { Undo2 } from 'lucide-react';
import type { SaveState } from './saveQueue';

const STATE_WORDS: Record<SaveState['kind'], string> = {
  saved: 'Saved',
  unsaved: 'Saving …',
  saving: 'Saving …',
  failed: 'Not saved',
  conflict: 'Not saved',
};

interface Props {
  title: string;
  state: SaveState['kind'];
  /** Why it can't be saved as it stands; null where it can. */
  fault?: string | null;
  canUndo: boolean;
  onUndo(): void;
}

/** The head of a page whose record is saved at each change: whether it is, and one step back. */
export function DeskHeader({ title, state, fault = null, canUndo, onUndo }: Props) {
  return (
    <header className="flex flex-wrap items-center gap-3">
      <h1 className="mr-auto text-2xl font-semibold">{title}</h1>
      <p className={`text-sm ${fault === null ? 'quiet' : 'text-error'}`} role="status">
        {fault ?? STATE_WORDS[state]}
      </p>
      <button type="button" className="btn btn-secondary min-h-11" disabled={!canUndo} onClick={onUndo}>
        <Undo2 size={18} aria-hidden="true" />
        Undo
      </button>
    </header>
  );
}
