import { type ReactNode, useState } from 'react';
import type { ApiProblem } from './api';
import { RecordProblem } from './RecordProblem';
import type { StoredItem } from './saveQueue';
import { VersionsLink } from './VersionsLink';

interface Props<Item> {
  title: string;
  busy: boolean;
  children: ReactNode;
  /** What stands in the way of saving, over the buttons, so that it is in sight. */
  told?: ReactNode;
  /** Checks the fields; calls `then` with the record when all of them are right. */
  onSubmit(then: (item: Omit<Item, 'id'>) => Promise<void>): void;
  /** The record as it was read; null for a new one. */
  was: StoredItem<Item> | null;
  save(item: Omit<Item, 'id'>, was: StoredItem<Item> | null): Promise<ApiProblem | null>;
  /** Left out where the record is new for certain, and nobody can have changed it elsewhere. */
  onTheirs?: ((theirs: StoredItem<Item>) => void) | undefined;
  onDone(): void;
  /** What its versions are called; left out for a new one. */
  before?: { kind: string; id: string } | undefined;
  /** Takes the record away; left out where that is not possible. */
  onRemove?: (() => void) | undefined;
}

/** The frame of the shelf's and the mold book's forms: saving, and what to do when someone else saved first. */
export function RecordForm<Item>(props: Props<Item>) {
  const { title, busy, children, told, onSubmit, was, save, onTheirs, onDone, onRemove, before } = props;
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const [sure, setSure] = useState(false);

  const submitAgainst = (base: StoredItem<Item> | null) =>
    onSubmit(async (item) => {
      const refused = await save(item, base);
      setProblem(refused);
      if (!refused) onDone();
    });

  return (
    <form
      className="plate flex max-w-2xl flex-col gap-3 p-4"
      aria-labelledby="record-title"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        submitAgainst(was);
      }}
    >
      <h2 id="record-title" className="text-xl font-semibold">
        {title}
      </h2>
      {children}
      <div className="bg-base-100 sticky bottom-0 -mx-4 -mb-4 flex flex-col gap-2 rounded-b-2xl p-4">
        {told}
        {problem && (
          <RecordProblem
            problem={problem}
            onKeepMine={() => was && submitAgainst({ ...was, revision: problem.revision ?? was.revision })}
            onTakeTheirs={() =>
              onTheirs?.({ item: problem.current as Item, revision: problem.revision ?? 1 })
            }
            onSaveCopy={() => submitAgainst(null)}
          />
        )}
        <div className="flex flex-wrap justify-end gap-2">
          {before && <VersionsLink {...before} name={title} />}
          <span className="flex-1" />
          {onRemove && (
            <button
              type="button"
              className={`btn ${sure ? 'btn-error' : 'btn-ghost text-error'}`}
              onClick={() => (sure ? onRemove() : setSure(true))}
              onBlur={() => setSure(false)}
            >
              {sure ? 'Yes, delete it' : 'Delete'}
            </button>
          )}
          <button type="button" className="btn btn-ghost" onClick={onDone}>
            Close
          </button>
          <button type="submit" className="btn btn-primary" disabled={busy}>
            {was ? 'Save' : 'Put there'}
          </button>
        </div>
      </div>
    </form>
  );
}
