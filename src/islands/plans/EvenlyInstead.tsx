import { useMemo } from 'react';
import type { Batch } from '../../core/plan/batch';
import { makeSheet } from '../../core/plan/makeSheet';
import type { PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { withBatch } from '../../core/plan/withBatch';
import { showMass, showPercent } from '../../core/units/showQuantity';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

interface Props {
  file: PlanFile;
  batch: Batch;
  sheet: Sheet;
}

/** What is left for a last piece, shared out evenly over all of them instead. */
export default function EvenlyInstead({ file, batch, sheet }: Props) {
  const { editShown } = usePlanPage();
  const { pieces } = sheet;
  const showing = useShowing();
  const plan = useMemo(
    () => ({ ...withBatch(file.plan, { ...batch, gives: 'fill' }), pieces }),
    [file.plan, batch, pieces],
  );
  const evenly = useMemo(() => makeSheet({ ...file, plan }), [file, plan]);
  if (!evenly.success || evenly.data.batch?.fault) return null;
  const { totals, fillFraction } = evenly.data;
  return (
    <button
      type="button"
      className="btn btn-sm btn-secondary mb-1 min-h-11 w-full justify-start text-left font-normal"
      onClick={() => editShown(plan, 'gives')}
    >
      Or all {pieces} to {showPercent(fillFraction, showing.locale, 0)}, {showMass(totals.pieceG, showing)}
      {totals.secondPieceG > 0 && ` and ${showMass(totals.secondPieceG, showing)}`} each
    </button>
  );
}
