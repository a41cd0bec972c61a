import type { ApiProblem } from './api';

interface Props {
  problem: ApiProblem;
  /** Saves mine over theirs. */
  onKeepMine(): void;
  onTakeTheirs(): void;
  /** Left out where there can be only one. */
  onSaveCopy?: () => void;
}

/** Why a record was not saved; when it was changed elsewhere, what differs and the three ways on. */
export function RecordProblem({ problem, onKeepMine, onTakeTheirs, onSaveCopy }: Props) {
  return (
    <div role="alert" className="border-error rounded-lg border-2 p-3 text-sm">
      <p className="text-error font-semibold">{problem.detail}</p>
      {problem.code === 'changed-elsewhere' && (
        <>
          <ul className="my-2 ml-4 list-disc">
            {(problem.differences ?? []).map(({ path, mine, theirs }) => (
              <li key={path.join('.')}>
                {path.join(' ')}: mine {written(mine)}, theirs {written(theirs)}
              </li>
            ))}
          </ul>
          <div className="flex flex-wrap gap-2">
            <button type="button" className="btn btn-primary" onClick={onKeepMine}>
              Keep mine
            </button>
            <button type="button" className="btn btn-secondary" onClick={onTakeTheirs}>
              Take theirs
            </button>
            {onSaveCopy && (
              <button type="button" className="btn btn-secondary" onClick={onSaveCopy}>
                Save mine as a copy
              </button>
            )}
          </div>
        </>
      )}
    </div>
  );
}

function written(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  return typeof value === 'object' ? JSON.stringify(value) : String(value);
}
