import { lazy, Suspense } from 'react';
import { NO_MOLD_ID } from '../../core/molds/noMold';
import type { Batch } from '../../core/plan/batch';
import type { Plan } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import type { LotStock } from '../../core/stock/stock';
import { Choice } from '../shared/Choice';
import { FigureField } from '../shared/FigureField';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

const BatchFields = lazy(() => import('./BatchFields'));

/** How many pieces a plan may be typed to make. */
export const PIECES = { unit: '', least: 1, most: 100_000, whole: true };
const FILL = { unit: '%', least: 5, most: 100 };

interface Props {
  plan: Plan;
  /** Null until a stop is mended. */
  sheet: Sheet | null;
  /** Lots of the first pour's base, the one that is opened next first. */
  lots: readonly LotStock[];
}

/** How much is made: pieces and how full they are, or a weight that they follow from. */
export function HowMuch({ plan, sheet, lots }: Props) {
  const { edit } = usePlanPage();
  const { system } = useShowing();
  const { batch } = plan;
  const follows = batch?.gives;
  const isInMold = plan.moldId !== NO_MOLD_ID;
  async function say(by: string) {
    const { batchFrom, withBatch } = await import('../../core/plan/withBatch');
    const next = by === 'pieces' || !sheet ? null : batchFrom(sheet, by as Batch['by'], system);
    edit(withBatch(plan, next && { ...next, gives: batch?.gives ?? next.gives }, sheet), 'how much');
  }
  return (
    <>
      <Choice
        label="How much by"
        value={batch?.by ?? 'pieces'}
        className="w-22"
        onChange={(by) => void say(by)}
      >
        {isInMold && <option value="pieces">pieces</option>}
        <option value="base" disabled={!sheet}>
          base
        </option>
        <option value="jug" disabled={!sheet}>
          jug
        </option>
      </Choice>
      {batch && (
        <Suspense fallback={<span className="w-24" />}>
          <BatchFields plan={plan} batch={batch} sheet={sheet} lots={lots} />
        </Suspense>
      )}
      {follows !== 'pieces' && (
        <FigureField
          label="Pieces"
          className="w-14"
          value={plan.pieces}
          rule={PIECES}
          onChange={(pieces) => edit({ ...plan, pieces }, 'pieces')}
        />
      )}
      {isInMold && follows !== 'fill' && (
        <FigureField
          label="Fill"
          className="w-18"
          value={plan.fillFraction * 100}
          rule={FILL}
          onChange={(percent) => edit({ ...plan, fillFraction: percent / 100 }, 'fill')}
        />
      )}
    </>
  );
}
