import { ChevronRight } from 'lucide-react';
import { useCallback, useEffect, useState } from 'react';
import { isCounted, type Material } from '../../core/materials/material';
import { goodTo, type Lot, lotStock, minorPerOne } from '../../core/stock/lot';
import type { LotStock } from '../../core/stock/stock';
import { minorUnitsOf } from '../../core/units/money';
import { showMass, showMoney, showNumber } from '../../core/units/showQuantity';
import { showDay, showMoment } from '../../words/en/showTime';
import { ENTRY_NAMES } from '../../words/en/stock/entryNames';
import { callApi } from '../shared/api';
import { useShowing } from '../shared/showing';
import { VersionsLink } from '../shared/VersionsLink';
import { LotForm } from './LotForm';
import type { LotView } from './lotView';
import { ReleaseLot } from './ReleaseLot';
import { StockForm } from './StockForm';

interface Props {
  material: Material;
  currency: string;
  onStock(lots: LotStock[]): void;
}

/** What was bought of a material and where it went. */
export function Lots({ material, currency, onStock }: Props) {
  const showing = useShowing();
  const [lots, setLots] = useState<LotView[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const amount = (value: number) =>
    isCounted(material.kind) ? `${showNumber(value, 0, showing.locale)} pieces` : showMass(value, showing);

  const load = useCallback(async () => {
    const answer = await callApi<LotView[]>('GET', `/api/lots?material=${encodeURIComponent(material.id)}`);
    if (answer.success) setLots(answer.data);
    else setProblem(answer.error.detail);
  }, [material.id]);
  useEffect(() => void load(), [load]);

  const put = (view: LotView) => {
    const next = [...(lots ?? []).filter(({ item }) => item.id !== view.item.id), view].sort((a, b) =>
      a.item.boughtOn.localeCompare(b.item.boughtOn),
    );
    setLots(next);
    setAdding(false);
    onStock(next.map(({ item, left }) => lotStock(item, left)));
  };

  return (
    <section className="plate max-w-2xl p-4" aria-labelledby="lots-title">
      <header className="flex items-center gap-2">
        <h2 id="lots-title" className="mr-auto text-xl font-semibold">
          Lots of {material.name}
        </h2>
        {!adding && (
          <button type="button" className="btn btn-secondary" onClick={() => setAdding(true)}>
            New lot
          </button>
        )}
      </header>
      {problem && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
      {lots === null && !problem && (
        <p className="quiet" role="status">
          Looking …
        </p>
      )}
      {lots?.length === 0 && !adding && (
        <p className="quiet text-sm">
          No lot yet, so stock is not counted. Enter what you bought, with its number and its date.
        </p>
      )}
      {adding && (
        <LotForm
          material={material}
          was={null}
          currency={currency}
          onSaved={put}
          onClose={() => setAdding(false)}
        />
      )}
      <ul>
        {lots?.map((view) => (
          <li key={view.item.id} className="border-base-300 border-t py-1 first:border-0">
            <LotRow view={view} material={material} currency={currency} amount={amount} onSaved={put} />
          </li>
        ))}
      </ul>
    </section>
  );
}

interface RowProps {
  view: LotView;
  material: Material;
  currency: string;
  amount(value: number): string;
  onSaved(view: LotView): void;
}

function LotRow({ view, material, currency, amount, onSaved }: RowProps) {
  const showing = useShowing();
  const [editing, setEditing] = useState<'label' | 'stock' | null>(null);
  const { item, left, entries } = view;
  const { locale } = showing;
  const goodUntil = goodTo(item);
  const save = (next: LotView) => {
    setEditing(null);
    onSaved(next);
  };
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center gap-2 text-sm">
        <ChevronRight size={18} className="chevron shrink-0" aria-hidden="true" />
        <strong className="min-w-20">{item.number}</strong>
        <span className="mr-auto">
          {goodUntil ? (
            `${goodUntil === item.bestBefore ? 'best before' : 'opened, good until'} ${showDay(goodUntil, locale)}`
          ) : (
            <em className="quiet">no date</em>
          )}
          {item.heldFor && <strong className="text-warning"> · put aside until {item.heldFor}</strong>}
        </span>
        <span className="text-base font-semibold whitespace-nowrap">{amount(left)}</span>
      </summary>
      <LotFacts lot={item} isCounted={isCounted(material.kind)} currency={currency} />
      <table className="table-sm table">
        <thead className="sr-only">
          <tr>
            <th scope="col">When</th>
            <th scope="col">What</th>
            <th scope="col">Change</th>
            <th scope="col">Left</th>
          </tr>
        </thead>
        <tbody>
          {entries.map((entry, index) => (
            <tr key={entry.id}>
              <td className="whitespace-nowrap">{showMoment(entry.at, locale)}</td>
              <td>
                {entry.owner?.kind === 'run' ? (
                  <a className="link" href={`/log/${entry.owner.id}`}>
                    {ENTRY_NAMES[entry.kind]}
                  </a>
                ) : (
                  ENTRY_NAMES[entry.kind]
                )}
                {entry.note && <span className="quiet"> · {entry.note}</span>}
              </td>
              <td className="text-right whitespace-nowrap">
                {entry.change < 0 ? '−' : '+'} {amount(Math.abs(entry.change))}
              </td>
              <td className="text-right whitespace-nowrap">
                {amount(entries.slice(0, index + 1).reduce((sum, { change }) => sum + change, 0))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {editing === 'label' && (
        <LotForm
          material={material}
          was={view}
          currency={currency}
          onSaved={save}
          onClose={() => setEditing(null)}
        />
      )}
      {editing === 'stock' && (
        <StockForm view={view} material={material} onSaved={save} onClose={() => setEditing(null)} />
      )}
      {editing === null && (
        <div className="flex flex-wrap gap-2 py-2">
          {item.heldFor && <ReleaseLot view={view} onSaved={onSaved} />}
          <button
            type="button"
            className="btn btn-sm btn-secondary min-h-11"
            onClick={() => setEditing('stock')}
          >
            Count or correct
          </button>
          <button type="button" className="btn btn-sm btn-ghost min-h-11" onClick={() => setEditing('label')}>
            Change the label
          </button>
          <a className="btn btn-sm btn-ghost min-h-11" href={`/trace/${encodeURIComponent(item.id)}`}>
            Where it went
          </a>
          <VersionsLink kind="lot" id={item.id} name={item.number} />
        </div>
      )}
    </details>
  );
}

interface FactsProps {
  lot: Lot;
  isCounted: boolean;
  currency: string;
}

/** What stands on a lot's receipt and label, in one line. */
function LotFacts({ lot, isCounted: counted, currency }: FactsProps) {
  const { locale } = useShowing();
  const cost = minorPerOne(lot);
  return (
    <p className="quiet text-sm">
      Bought {showDay(lot.boughtOn, locale)}
      {lot.price !== null && `, ${showMoney(minorUnitsOf(lot.price), currency, locale)}`}
      {lot.discountFraction > 0 && ` less ${showNumber(lot.discountFraction * 100, 1, locale, 0)} %`}
      {lot.postage && ` and ${showMoney(minorUnitsOf(lot.postage), currency, locale)} postage`}
      {cost !== null &&
        (counted
          ? `: ${showMoney(cost, currency, locale)} a piece`
          : `: ${showMoney(cost * 100, currency, locale)} / 100 g`)}
      {lot.openedOn && `; opened ${showDay(lot.openedOn, locale)}`}
      {lot.note && `. ${lot.note}`}
    </p>
  );
}
