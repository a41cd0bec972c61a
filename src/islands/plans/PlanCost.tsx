import { lazy, useCallback, useMemo } from 'react';
import type { CheckContext, Finding } from '../../core/checks/finding';
import { type Bounds, certainMinor, sumOfBounds } from '../../core/cost/bounds';
import { COST_PARTS, costOf, houseLines, pricesMissing, sheetLines } from '../../core/cost/cost';
import { plannedHandsS } from '../../core/cost/handsTime';
import { pricesOf } from '../../core/cost/price';
import type { PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import type { ScheduledTask } from '../../core/schedule/scheduledTask';
import type { StockByMaterial } from '../../core/stock/fromShelf';
import { needOf, plansMade } from '../../core/stock/need';
import { amountWords, boundsWords, COST_PART_NAMES } from '../../words/en/cost/costWords';
import { counted, listed } from '../../words/en/plural';
import { PriceRow } from '../shared/PriceRow';
import { useShowing } from '../shared/showing';
import { useAsked } from '../shared/useAsked';
import { OpenedLater } from './OpenedLater';
import { usePlanPage } from './planContext';

const CostWhatIf = lazy(() => import('./CostWhatIf'));

interface Props {
  file: PlanFile;
  sheet: Sheet;
  /** Of the sheet. */
  findings: Finding[];
  context: CheckContext;
  stock: StockByMaterial;
  /** Of its pour plan, which says how long hands take; null while there is none. */
  tasks: readonly ScheduledTask[] | null;
}

/** What the plan costs from the lots that it would take now, and what a piece sells for by the house’s rules. */
export default function PlanCost({ file, sheet, findings, context, stock, tasks }: Props) {
  const { rules } = usePlanPage();
  const showing = useShowing();
  const { currency, pricing } = rules;
  const money = (bounds: Bounds) => boundsWords(bounds, currency, showing.locale);
  const planIds = useMemo(() => plansMade(needOf(sheet)), [sheet]);
  const { answer } = useAsked<[planId: string, Bounds][]>(planIds.length === 0 ? null : '/api/made-costs', {
    planIds,
  });
  const costFor = useCallback(
    (of: Sheet, itsTasks: Props['tasks']) =>
      costOf(
        [
          ...sheetLines(of, stock, new Map(answer)),
          ...houseLines(rules, itsTasks ? plannedHandsS(itsTasks) : 0),
        ],
        of.pieces,
      ),
    [stock, answer, rules],
  );
  const cost = useMemo(() => costFor(sheet, tasks), [costFor, sheet, tasks]);
  const made = madeNames(sheet);
  const missing = pricesMissing(cost).filter((name) => !made.includes(name));
  const toMake = pricesMissing(cost).filter((name) => made.includes(name));
  const each = cost.perPiece && certainMinor(cost.perPiece);
  const prices = each === null ? null : pricesOf(each, sheet.pieces, pricing, currency);
  return (
    <div className="text-sm">
      <dl className="grid grid-cols-[1fr_auto] gap-x-3">
        {COST_PARTS.flatMap((part) => {
          const own = cost.lines.filter((line) => line.part === part);
          if (own.length === 0) return [];
          const hands = part === 'hands' ? `, ${own.map((line) => amountWords(line, showing)).join('')}` : '';
          return [
            <dt key={part}>
              {COST_PART_NAMES[part]}
              {hands}
            </dt>,
            <dd key={`${part} of it`} className="text-right">
              {money(sumOfBounds(own.map((line) => line.cost)))}
            </dd>,
          ];
        })}
        <dt className="font-semibold">Together</dt>
        <dd className="text-right font-semibold">{money(cost.total)}</dd>
        <dt className="font-semibold">Each of {counted(sheet.pieces, 'piece', 'pieces')}</dt>
        <dd className="live rounded px-1 text-right font-semibold">
          {cost.perPiece ? money(cost.perPiece) : '–'}
        </dd>
      </dl>
      {toMake.length > 0 && (
        <p className="text-warning">
          {listed(toMake)} {toMake.length === 1 ? 'is' : 'are'} made by another plan, whose materials are not
          all priced.
        </p>
      )}
      {missing.length > 0 && (
        <p className="text-warning">
          No price is known of {listed(missing)}: type it at its lot on the{' '}
          <a className="link" href="/shelf">
            shelf
          </a>
          .
        </p>
      )}
      {prices ? (
        <>
          <h3 className="mt-2 font-semibold">Price of a piece</h3>
          <PriceRow name="Retail" price={prices.retail} currency={currency} />
          <PriceRow name="Wholesale" price={prices.wholesale} currency={currency} />
          <p>
            {prices.breakEven === null
              ? 'Nothing stays of a sale.'
              : `The batch is paid for by ${counted(prices.breakEven, 'piece', 'pieces')} at retail${prices.breakEven > sheet.pieces ? ', more than it makes' : ''}.`}
          </p>
        </>
      ) : (
        each !== null && <p className="text-warning">Margin and fees together leave nothing of a price.</p>
      )}
      <p className="quiet">
        From the lots that are taken next, as they are priced. Margin, tax, fees, hands:{' '}
        <a className="link" href="/house-rules#money">
          house rules
        </a>
        .
      </p>
      <OpenedLater title="What if">
        <CostWhatIf {...{ file, sheet, findings, context, cost, costFor }} isWhole={tasks !== null} />
      </OpenedLater>
    </div>
  );
}

/** Names of what other plans make of it. */
function madeNames({ pours }: Sheet): string[] {
  return pours.flatMap(({ embeds }) => embeds.filter(({ kind }) => kind === 'plan').map(({ name }) => name));
}
