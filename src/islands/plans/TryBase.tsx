import { useMemo, useState } from 'react';
import { compareFindings } from '../../core/checks/compareFindings';
import type { CheckContext, Finding } from '../../core/checks/finding';
import { reviewPlan } from '../../core/checks/review';
import type { Material } from '../../core/materials/material';
import type { PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { showMass } from '../../core/units/showQuantity';
import { FindingChanges } from '../shared/FindingChanges';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

export interface Props {
  file: PlanFile;
  /** The base that another takes the place of. */
  baseId: string | undefined;
  others: readonly Material[];
  sheet: Sheet | null;
  findings: Finding[];
  context: CheckContext;
}

/** The plan with another base in its place: every finding that changes, before it is taken. */
export default function TryBase({ file, baseId, others, sheet, findings, context }: Props) {
  const { editShown } = usePlanPage();
  const showing = useShowing();
  const [chosen, setChosen] = useState('');
  const tried = useMemo(() => {
    if (!others.some(({ id }) => id === chosen)) return null;
    const plan = {
      ...file.plan,
      pours: file.plan.pours.map((pour) => (pour.baseId === baseId ? { ...pour, baseId: chosen } : pour)),
    };
    return { plan, ...reviewPlan({ ...file, plan }, context) };
  }, [file, baseId, chosen, others, context]);
  const changes = tried && compareFindings(findings, tried.findings);

  return (
    <>
      <select
        className="select select-sm min-h-11 w-full"
        aria-label="Another base"
        value={tried ? chosen : ''}
        onChange={({ target }) => setChosen(target.value)}
      >
        <option value="">Choose a base …</option>
        {others.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      {tried && changes && (
        <div className="mt-2 text-xs" aria-live="polite">
          {sheet && tried.sheet && (
            <p>
              Base {showMass(sheet.totals.baseG, showing)} → {showMass(tried.sheet.totals.baseG, showing)}, a
              piece {showMass(sheet.totals.pieceG, showing)} → {showMass(tried.sheet.totals.pieceG, showing)}
            </p>
          )}
          <FindingChanges {...changes} />
          <button
            type="button"
            className="btn btn-secondary min-h-11"
            onClick={() => editShown(tried.plan, `base ${Date.now()}`)}
          >
            Use this base
          </button>
        </div>
      )}
    </>
  );
}
