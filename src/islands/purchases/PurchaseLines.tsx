import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { type Purchase, type PurchaseLine, receivedOf } from '../../core/purchase/purchase';
import type { Lot } from '../../core/stock/lot';
import { minorUnitsOf } from '../../core/units/money';
import { showMoney } from '../../core/units/showQuantity';
import { showAmount } from '../../words/en/units/showAmount';
import { Choice } from '../shared/Choice';
import { MoneyField } from '../shared/MoneyField';
import { useShowing } from '../shared/showing';
import { AmountField } from './AmountField';
import { OfWhat } from './OfWhat';
import type { Orderable } from './orderable';
import { ReceiveForm } from './ReceiveForm';

interface Props {
  purchase: Purchase;
  /** What is shown is what the server has. */
  isSaved: boolean;
  lots: Lot[];
  materials: Orderable[];
  currency: string;
  onChange(lines: PurchaseLine[]): void;
  onCame(lots: Lot[]): void;
}

const MOST_LINES = 60;
/** A line begins with so much: a usual pack. */
const FIRST = { pieces: 10, massG: 1000 };

/** What is ordered, line by line, with what came of each. */
export function PurchaseLines({ purchase, isSaved, lots, materials, currency, onChange, onCame }: Props) {
  const showing = useShowing();
  const { lines } = purchase;
  const [receiving, setReceiving] = useState<string | null>(null);
  const free = materials.filter(({ id }) => !lines.some(({ materialId }) => materialId === id));
  const [chosen, setChosen] = useState('');
  const next = free.find(({ id }) => id === chosen) ?? free[0];
  const put = (place: number, part: Partial<PurchaseLine>) =>
    onChange(lines.map((line, index) => (index === place ? { ...line, ...part } : line)));
  return (
    <section className="plate flex flex-col gap-2 p-4" aria-labelledby="lines-title">
      <h2 id="lines-title" className="font-semibold">
        What is ordered
      </h2>
      {lines.length === 0 && next && <p className="quiet text-sm">Nothing yet. Choose what is to come.</p>}
      {lines.length === 0 && !next && (
        <p className="quiet text-sm">
          There is nothing to order yet:{' '}
          <a className="link" href="/shelf">
            put the material on the shelf
          </a>{' '}
          first, also where none of it is there.
        </p>
      )}
      <ul>
        {lines.map((line, place) => {
          const material = materials.find(({ id }) => id === line.materialId);
          const isCounted = material?.isCounted ?? false;
          const name = material?.name ?? line.materialId;
          const came = receivedOf(line, lots);
          const isAll = came >= line.amount * (1 - 1e-9);
          return (
            <li
              key={line.materialId}
              className="border-base-300 flex flex-wrap items-start gap-3 border-t py-2 first:border-0"
            >
              <strong className="min-w-40 flex-1 pt-5">{name}</strong>
              <AmountField
                label={<OfWhat label="Amount" of={name} />}
                className="w-32"
                amount={line.amount}
                isCounted={isCounted}
                onChange={(amount) => put(place, { amount })}
              />
              <MoneyField
                label={<OfWhat label="Price" of={name} />}
                className="w-36"
                value={line.price}
                currency={currency}
                none="Not known."
                onChange={(price) => put(place, { price })}
              />
              <span className="w-44 pt-5 text-sm">
                {came === 0 ? 'nothing has come' : `${showAmount(came, isCounted, showing)} came`}
                {came > 0 && !isAll && `, ${showAmount(line.amount - came, isCounted, showing)} to come`}
              </span>
              <span className="flex gap-1 pt-3">
                <button
                  type="button"
                  className={`btn btn-sm min-h-11 ${isAll ? 'btn-ghost' : 'btn-secondary'}`}
                  aria-expanded={receiving === line.materialId}
                  aria-label={`${isAll ? 'More came' : 'It came'}: ${name}`}
                  disabled={!isSaved}
                  onClick={() => setReceiving(receiving === line.materialId ? null : line.materialId)}
                >
                  {isAll ? 'More came' : 'It came'}
                </button>
                {came === 0 && (
                  <button
                    type="button"
                    className="btn btn-ghost btn-square min-h-11 min-w-11"
                    aria-label={`Take out ${name}`}
                    onClick={() => onChange(lines.filter((_, index) => index !== place))}
                  >
                    <X size={18} />
                  </button>
                )}
              </span>
              <LotsThatCame {...{ lots, isCounted, currency }} materialId={line.materialId} />
              {receiving === line.materialId && (
                <ReceiveForm
                  purchaseId={purchase.id}
                  {...{ line, name, isCounted, currency, came }}
                  onCame={(all) => {
                    setReceiving(null);
                    onCame(all);
                  }}
                  onClose={() => setReceiving(null)}
                />
              )}
            </li>
          );
        })}
      </ul>
      {next && lines.length < MOST_LINES && (
        <div className="flex items-end gap-2">
          <Choice label="Material" value={next.id} onChange={setChosen}>
            {free.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Choice>
          <button
            type="button"
            className="btn btn-secondary min-h-11"
            onClick={() =>
              onChange([
                ...lines,
                { materialId: next.id, amount: next.isCounted ? FIRST.pieces : FIRST.massG, price: null },
              ])
            }
          >
            <Plus size={18} aria-hidden="true" />
            Add it
          </button>
        </div>
      )}
    </section>
  );
}

interface CameProps {
  lots: readonly Lot[];
  materialId: string;
  isCounted: boolean;
  currency: string;
}

function LotsThatCame({ lots, materialId, isCounted, currency }: CameProps) {
  const showing = useShowing();
  const came = lots.filter(({ item }) => item.id === materialId);
  if (came.length === 0) return null;
  return (
    <ul className="w-full text-sm">
      {came.map(({ id, number, amount, heldFor, postage }) => (
        <li key={id}>
          <a
            className="link inline-flex min-h-11 items-center"
            href={`/shelf?material=${encodeURIComponent(materialId)}&side=lots`}
          >
            Lot {number}
          </a>
          , {showAmount(amount, isCounted, showing)}
          {postage && `, ${showMoney(minorUnitsOf(postage), currency, showing.locale)} of the postage`}
          {heldFor && <strong className="text-warning">, put aside until {heldFor}</strong>}
        </li>
      ))}
    </ul>
  );
}
