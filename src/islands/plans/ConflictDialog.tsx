import { useEffect, useRef, useState } from 'react';
import type { Mold } from '../../core/molds/mold';
import { NO_MOLD_ID } from '../../core/molds/noMold';
import type { Plan } from '../../core/plan/plan';
import { planSchema } from '../../core/plan/planSchema';
import { placeName } from '../../words/en/plan/placeName';
import type { ApiProblem } from '../shared/api';
import { usePlanPage } from './planContext';

interface Props {
  problem: ApiProblem;
  mine: Plan;
  molds: Mold[];
  onKeepMine(theirRevision: number): void;
  onTakeTheirs(theirs: Plan, theirRevision: number): void;
  onSaveCopy(mine: Plan): void;
}

/** The same plan was saved from another tab or by another person: nothing is lost, and the user decides. */
export default function ConflictDialog({
  problem,
  mine,
  molds,
  onKeepMine,
  onTakeTheirs,
  onSaveCopy,
}: Props) {
  const { materials } = usePlanPage();
  const dialog = useRef<HTMLDialogElement>(null);
  const [busy, setBusy] = useState(false);
  useEffect(() => dialog.current?.showModal(), []);
  const theirs = planSchema.safeParse(problem.current);
  const revision = problem.revision ?? 0;
  const records = [...molds, { id: NO_MOLD_ID, name: 'no mold yet' }, ...materials];
  const names = new Map(records.map(({ id, name }) => [id, name]));
  return (
    <dialog
      ref={dialog}
      className="modal"
      aria-labelledby="conflict-title"
      onCancel={(event) => event.preventDefault()}
    >
      <div className="modal-box plate max-w-2xl shadow-none">
        <h2 id="conflict-title" className="text-xl font-semibold">
          This plan was also changed elsewhere
        </h2>
        <p className="mb-3">
          Another tab or another person saved it first. Nothing is lost: choose what should hold.
        </p>
        <div className="max-h-80 overflow-y-auto">
          <table className="table-sm table">
            <thead>
              <tr className="text-base-content">
                <th scope="col">What differs</th>
                <th scope="col">Mine</th>
                <th scope="col">Theirs</th>
              </tr>
            </thead>
            <tbody>
              {(problem.differences ?? [])
                .filter(({ path }) => !path.includes('means'))
                .map((difference) => (
                  <tr key={difference.path.join('.')}>
                    <th scope="row" className="font-normal">
                      {placeName(difference)}
                    </th>
                    <td>{sideText(difference.mine, names)}</td>
                    <td>{sideText(difference.theirs, names)}</td>
                  </tr>
                ))}
            </tbody>
          </table>
        </div>
        <div className="modal-action flex-wrap">
          <button type="button" className="btn btn-primary" onClick={() => onKeepMine(revision)}>
            Keep mine
          </button>
          <button
            type="button"
            className="btn btn-secondary"
            disabled={!theirs.success}
            onClick={() => theirs.success && onTakeTheirs(theirs.data, revision)}
          >
            Take theirs
          </button>
          <button
            type="button"
            className="btn btn-secondary"
            disabled={busy}
            onClick={() => {
              setBusy(true);
              onSaveCopy(mine);
            }}
          >
            Save mine as a copy
          </button>
        </div>
      </div>
    </dialog>
  );
}

function sideText(value: unknown, names: ReadonlyMap<string, string>): string {
  if (value === undefined || value === null) return 'nothing';
  if (typeof value === 'string') return names.get(value) ?? value;
  if (typeof value === 'object' && 'text' in value && 'materialId' in value) {
    return `${names.get(String(value.materialId)) ?? value.materialId}: ${value.text}`;
  }
  return typeof value === 'object' ? JSON.stringify(value) : String(value);
}
