import { useEffect, useId, useState } from 'react';
import { NO_MOLD_ID } from '../../core/molds/noMold';
import type { Batch } from '../../core/plan/batch';
import { batchText, parseBatch } from '../../core/plan/parseBatch';
import type { Plan } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { withBatch } from '../../core/plan/withBatch';
import type { LotStock } from '../../core/stock/stock';
import { massUnit } from '../../core/units/showQuantity';
import { explainBatchFault } from '../../words/en/plan/batchFault';
import { Choice } from '../shared/Choice';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

interface Props {
  plan: Plan;
  batch: Batch;
  sheet: Sheet | null;
  lots: readonly LotStock[];
}

/** The weight that a plan is said by, and what follows from it. */
export default function BatchFields({ plan, batch, sheet, lots }: Props) {
  const { edit } = usePlanPage();
  const showing = useShowing();
  const id = useId();
  const [text, setText] = useState(batch.text);
  const parsed = parseBatch(text, showing.system, lots);
  const { massG } = batch;
  useEffect(() => {
    // Said anew from elsewhere (undo, a mend) it is shown; what is being typed and says the same stays as it is.
    setText((before) => {
      const read = parseBatch(before, showing.system, lots);
      return read.success && Math.abs(read.data - massG) <= 1e-9 * massG ? before : batch.text;
    });
  }, [batch.text, massG, showing.system, lots]);
  const unit = massUnit(showing.system);

  function type(typed: string) {
    setText(typed);
    const read = parseBatch(typed, showing.system, lots);
    if (!read.success) return;
    const said = batchText(typed, showing.system);
    edit(withBatch(plan, { ...batch, massG: read.data, text: said }), 'batch');
  }
  function follow(gives: string) {
    const pieces = gives === 'fill' && sheet ? sheet.pieces : plan.pieces;
    edit({ ...withBatch(plan, { ...batch, gives: gives as Batch['gives'] }), pieces }, 'gives');
  }
  const what = batch.by === 'base' ? 'Base' : 'In the jug';
  return (
    <>
      <div className="flex w-27 flex-col">
        <label htmlFor={id} className="quiet text-xs">
          {what}, {unit}
        </label>
        <input
          id={id}
          className={`input input-sm w-full pointer-coarse:min-h-11 ${parsed.success ? '' : 'input-error'}`}
          autoComplete="off"
          list={`${id}-lots`}
          value={text}
          aria-invalid={!parsed.success}
          aria-describedby={parsed.success ? undefined : `${id}-why`}
          onChange={({ target }) => type(target.value)}
        />
        <datalist id={`${id}-lots`}>
          {lots
            .filter(({ left }) => left >= 1)
            .map(({ id: lotId, number }) => (
              <option key={lotId} value={`all of ${number}`} />
            ))}
        </datalist>
        {!parsed.success && (
          <p id={`${id}-why`} role="alert" className="text-error max-w-44 text-xs">
            {explainBatchFault(parsed.error, lots, showing)}
          </p>
        )}
      </div>
      {plan.moldId !== NO_MOLD_ID && (
        <Choice label="It gives" value={batch.gives} className="w-27" onChange={follow}>
          <option value="pieces">pieces</option>
          <option value="fill">a fill</option>
        </Choice>
      )}
    </>
  );
}
