import { lazy, memo, type ReactNode, Suspense, useId, useState } from 'react';
import { fillForPieceWeight, piecesFromBase } from '../../core/plan/backwards';
import type { Plan, PlanFile } from '../../core/plan/plan';
import { scalePlan } from '../../core/plan/scalePlan';
import type { Sheet } from '../../core/plan/sheet';
import { LEAST_FILL, withBatch } from '../../core/plan/withBatch';
import { piecesFromShelf, type StockByMaterial } from '../../core/stock/fromShelf';
import { parseMass } from '../../core/units/parseMass';
import { massUnit, type Showing, showPercent } from '../../core/units/showQuantity';
import { listed } from '../../words/en/plural';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

const MassFault = lazy(() => import('./MassFault'));
const PieceWeightFault = lazy(() => import('./PieceWeightFault'));

interface Props {
  file: PlanFile;
  sheet: Sheet;
  stock: StockByMaterial;
}

/** What a typed weight would lead to: a change that can be taken, or why not. */
interface Reached {
  says: ReactNode;
  plan: Plan | null;
}

const MOST_PIECES = 100_000;

/** The plan computed backwards: from the base on hand, or from the weight a piece should have. */
export default memo(function WorkBackwards({ file, sheet, stock }: Props) {
  const { editShown } = usePlanPage();
  const showing = useShowing();
  return (
    <div className="flex flex-col gap-2">
      <FromShelf file={file} sheet={sheet} stock={stock} />
      <WeightField
        label={`${sheet.pours[0]?.base.name ?? 'Base'} on hand`}
        reach={(massG) => fromBase(file, sheet, massG)}
        onTake={(plan) => editShown(plan, `from base ${Date.now()}`)}
      />
      <WeightField
        label="Wanted weight a piece"
        reach={(massG) => fromPieceWeight(file, sheet, massG, showing)}
        onTake={(plan) => editShown(plan, `from weight ${Date.now()}`)}
      />
    </div>
  );
});

/** What the shelf makes of this plan, by the stock of its lots. */
function FromShelf({ file, sheet, stock }: Props) {
  const { editShown } = usePlanPage();
  const { pieces, shortOf, notCounted } = piecesFromShelf(sheet, stock);
  if (shortOf === null)
    return (
      <p className="quiet text-sm leading-tight">What the shelf makes is not known: no lot of it is there.</p>
    );
  const can = pieces >= 1 && pieces <= MOST_PIECES;
  return (
    <div className="flex items-center gap-2 text-sm">
      <p className="flex-1 leading-tight">
        The shelf makes <strong>{pieces}</strong> {pieces === 1 ? 'piece' : 'pieces'}
        <span className="quiet text-xs">
          ; {shortOf} runs out first
          {notCounted.length > 0 && `. Not counted, without a lot: ${listed(notCounted)}`}
        </span>
      </p>
      <button
        type="button"
        className="btn btn-secondary min-h-11"
        aria-label="Use this: as many pieces as the shelf makes"
        disabled={!can || pieces === sheet.pieces}
        onClick={() => editShown(scalePlan(file.plan, pieces, file, sheet), `from shelf ${Date.now()}`)}
      >
        Use this
      </button>
    </div>
  );
}

function fromBase(file: PlanFile, sheet: Sheet, massG: number): Reached {
  const baseId = sheet.pours[0]?.base.id ?? '';
  const { pieces } = piecesFromBase(sheet, new Map([[baseId, massG]]));
  if (pieces < 1) return { says: 'not enough for one piece', plan: null };
  if (pieces > MOST_PIECES) return { says: 'more pieces than one plan takes', plan: null };
  return {
    says: `makes ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`,
    plan: scalePlan(file.plan, pieces, file, sheet),
  };
}

function fromPieceWeight(file: PlanFile, sheet: Sheet, massG: number, showing: Showing): Reached {
  const fill = fillForPieceWeight(file, massG);
  if (!fill.success) {
    return { says: <PieceWeightFault fault={fill.error} />, plan: null };
  }
  if (fill.data < LEAST_FILL) return { says: 'that would fill less than 5 % of the cavity', plan: null };
  return {
    says: `fills to ${showPercent(fill.data, showing.locale)}`,
    plan: { ...withBatch(file.plan, null, sheet), fillFraction: fill.data },
  };
}

interface FieldProps {
  label: string;
  reach(massG: number): Reached;
  onTake(plan: Plan): void;
}

function WeightField({ label, reach, onTake }: FieldProps) {
  const showing = useShowing();
  const id = useId();
  const [text, setText] = useState('');
  const parsed = parseMass(text, showing.system);
  const reached = parsed.success && parsed.data > 0 ? reach(parsed.data) : null;
  const isBad = text.trim() !== '' && !parsed.success;
  return (
    <form
      className="text-sm"
      onSubmit={(event) => {
        event.preventDefault();
        if (reached?.plan) onTake(reached.plan);
      }}
    >
      <label htmlFor={id} className="quiet text-xs">
        {label}, {massUnit(showing.system)}
      </label>
      <div className="flex gap-2">
        <input
          id={id}
          className={`input input-sm min-h-11 w-24 ${isBad ? 'input-error' : ''}`}
          inputMode="decimal"
          autoComplete="off"
          value={text}
          aria-invalid={isBad}
          aria-describedby={`${id}-says`}
          onChange={({ target }) => setText(target.value)}
        />
        <button type="submit" className="btn btn-secondary min-h-11" disabled={!reached?.plan}>
          Use this
        </button>
      </div>
      <p id={`${id}-says`} className={`min-h-4 text-xs ${isBad ? 'text-error' : 'quiet'}`} aria-live="polite">
        <Suspense>{isBad && !parsed.success ? <MassFault fault={parsed.error} /> : reached?.says}</Suspense>
      </p>
    </form>
  );
}
