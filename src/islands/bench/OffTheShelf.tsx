import type { Run } from '../../core/run/run';
import { usedMaterials } from '../../core/run/usedMaterials';
import type { RunStock } from '../../core/stock/runStock';
import { firstExpiredFirst, takeFromLots } from '../../core/stock/stock';
import { showAmount } from '../../words/en/units/showAmount';
import { useShowing } from '../shared/showing';

interface Props {
  run: Run;
  stock: RunStock;
  /** The lots that stood on the bench, by material. */
  chosen: ReadonlyMap<string, string>;
  onChoose(materialId: string, lotId: string): void;
}

/** Less is what is left of adding and taking off. */
const NOTHING = 1e-6;

/** What leaves the shelf with this run beyond what was taken as it was weighed: the first to expire unless another stood there. */
export function OffTheShelf({ run, stock, chosen, onChoose }: Props) {
  const showing = useShowing();
  const used = usedMaterials(run);
  const isKnown = ({ materialId }: { materialId: string }) => stock.lots.has(materialId);
  const counted = used
    .map((each) => ({ ...each, amount: each.amount - (stock.taken.get(each.materialId) ?? 0) }))
    .filter((each) => isKnown(each) && each.amount > NOTHING);
  if (!used.some(isKnown)) return null;
  return (
    <section aria-labelledby="off-the-shelf">
      <h3 id="off-the-shelf" className="text-lg font-semibold">
        Off the shelf
      </h3>
      {counted.length === 0 && <p>All of it was taken as it was weighed.</p>}
      <ul className="divide-base-300 divide-y">
        {counted.map(({ materialId, name, amount, isCounted }) => {
          const show = (of: number) => showAmount(of, isCounted, showing);
          const lots = stock.lots.get(materialId) ?? [];
          const { takings, beyondBook } = takeFromLots(lots, amount, chosen.get(materialId));
          const numbers = takings.map(({ lotId, amount: taken }) => {
            const number = lots.find(({ id }) => id === lotId)?.number;
            return takings.length > 1 ? `${show(taken)} of ${number}` : number;
          });
          return (
            <li key={materialId} className="flex flex-wrap items-center gap-x-3">
              <span className="min-w-40">{name}</span>
              <strong className="min-w-24 text-right">{show(amount)}</strong>
              {lots.length > 1 ? (
                <select
                  className="select min-h-11 w-64"
                  aria-label={`Lot of ${name}`}
                  value={chosen.get(materialId) ?? takings[0]?.lotId ?? ''}
                  onChange={({ target }) => onChoose(materialId, target.value)}
                >
                  {firstExpiredFirst(lots).map(({ id, number, left, bestBefore }) => (
                    <option key={id} value={id}>
                      {number}, {show(left)} left{bestBefore ? `, to ${bestBefore}` : ''}
                    </option>
                  ))}
                </select>
              ) : (
                <span className="flex min-h-11 items-center">lot {numbers.join(', ')}</span>
              )}
              {takings.length > 1 && <span className="quiet text-sm">{numbers.join(', ')}</span>}
              {beyondBook && (
                <span className="text-warning text-sm">
                  {show(beyondBook.amount)} more than the book says: it is put right with a correction
                </span>
              )}
            </li>
          );
        })}
      </ul>
      {!used.every(isKnown) && (
        <p className="quiet text-sm">
          Without lots, and so not counted:{' '}
          {used
            .filter((each) => !isKnown(each))
            .map(({ name }) => name)
            .join(', ')}
          .
        </p>
      )}
    </section>
  );
}
