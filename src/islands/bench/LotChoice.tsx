import { firstExpiredFirst } from '../../core/stock/stock';
import { showMass } from '../../core/units/showQuantity';
import { showDay } from '../../words/en/showTime';
import { useShowing } from '../shared/showing';
import type { LotsOfTask } from './useLots';

interface Props {
  of: LotsOfTask;
  /** What it is of. */
  name: string;
  targetG: number;
}

/** The lot that is weighed from: one that is scanned or typed where the weight is, or chosen here. */
export function LotChoice({ of: { lots, lot, choose }, name, targetG }: Props) {
  const showing = useShowing();
  if (!lot) return null;
  const told = (each: typeof lot) =>
    `${each.number}, ${showMass(each.left, showing)} left${each.bestBefore ? `, to ${showDay(each.bestBefore, showing.locale)}` : ''}`;
  const isOver = lot.bestBefore !== null && lot.bestBefore < new Date().toISOString().slice(0, 10);
  return (
    <div className="my-1 flex flex-wrap items-center gap-x-3 text-lg">
      {lots.length > 1 ? (
        <label className="flex flex-wrap items-center gap-x-3">
          From lot
          <select
            className="select min-h-12 w-auto max-w-full text-lg"
            aria-label={`Lot of ${name}`}
            value={lot.id}
            onChange={({ target }) => choose(target.value)}
          >
            {firstExpiredFirst(lots).map((each) => (
              <option key={each.id} value={each.id}>
                {told(each)}
              </option>
            ))}
          </select>
        </label>
      ) : (
        <span>From lot {told(lot)}.</span>
      )}
      {lot.heldFor && <strong className="text-warning">It is put aside until {lot.heldFor}.</strong>}
      {isOver && <strong className="text-warning">Its date is over: smell it and look at it.</strong>}
      {lot.left < targetG && (
        <strong className="text-warning">
          {lots.length > 1
            ? 'Too little by the book: the rest is taken from the next lot.'
            : 'Too little by the book: what was there all the same is put right.'}
        </strong>
      )}
    </div>
  );
}
