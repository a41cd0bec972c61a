import { type Bounds, certainMinor, exactly, sumOfBounds } from '../../core/cost/bounds';
import { COST_PARTS, type Cost, type CostPart } from '../../core/cost/cost';
import { pricesOf } from '../../core/cost/price';
import type { HouseRules } from '../../core/houseRules/houseRules';
import { boundsWords, COST_PART_NAMES, moreWords } from '../../words/en/cost/costWords';
import { counted } from '../../words/en/plural';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

/** What a part costs, or what follows from all of them. */
type Row = CostPart | keyof typeof FOLLOWING;

const FOLLOWING = {
  together: 'Together',
  each: 'Each',
  retail: 'Retail',
  wholesale: 'Wholesale',
  paidBy: 'Paid for by',
};
const NAMES: Record<Row, string> = { ...COST_PART_NAMES, ...FOLLOWING };
const ROWS = Object.keys(NAMES) as Row[];
/** What is known before anybody knows how long hands take. */
const WITHOUT_HANDS: readonly Row[] = ['base', 'dose', 'set-in', 'packaging', 'fixed'];

interface Props {
  before: Cost;
  after: Cost;
  /** What hands cost is in both. */
  isWhole: boolean;
}

/** Two costs side by side, with the prices that follow from them. */
export function CostsCompared({ before, after, isWhole }: Props) {
  const { rules } = usePlanPage();
  const { locale } = useShowing();
  const [was, is] = [rowsOf(before, rules, locale), rowsOf(after, rules, locale)];
  const said = (rows: ReadonlyMap<Row, string>, row: Row) =>
    isWhole || WITHOUT_HANDS.includes(row) ? (rows.get(row) ?? '–') : '…';
  return (
    <>
      <table className="w-full text-xs">
        <caption className="sr-only">What the plan costs now, and as it is tried</caption>
        <thead>
          <tr className="border-b text-right">
            <td />
            <th scope="col" className="font-normal">
              now, {counted(before.pieces, 'piece', 'pieces')}
            </th>
            <th scope="col">tried, {after.pieces}</th>
          </tr>
        </thead>
        <tbody>
          {ROWS.filter((row) => was.has(row) || is.has(row)).map((row) => (
            <tr key={row} className="border-base-300 border-b text-right align-top">
              <th scope="row" className="py-1 pr-2 text-left font-normal">
                {NAMES[row]}
              </th>
              <td className="py-1 pr-2">{said(was, row)}</td>
              <td className={`py-1 ${said(was, row) === said(is, row) ? 'quiet' : 'font-semibold'}`}>
                {said(is, row)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p role="status" className="font-semibold">
        {isWhole ? eachWords(before, after, rules.currency, locale) : 'Working out how long hands take …'}
      </p>
    </>
  );
}

function rowsOf(cost: Cost, { currency, pricing }: HouseRules, locale: string): ReadonlyMap<Row, string> {
  const money = (bounds: Bounds) => boundsWords(bounds, currency, locale);
  const parts = COST_PARTS.flatMap((part): [Row, string][] => {
    const own = cost.lines.filter((line) => line.part === part);
    return own.length === 0 ? [] : [[part, money(sumOfBounds(own.map((line) => line.cost)))]];
  });
  const each = cost.perPiece && certainMinor(cost.perPiece);
  const prices = each === null ? null : pricesOf(each, cost.pieces, pricing, currency);
  return new Map<Row, string>([
    ...parts,
    ['together', money(cost.total)],
    ['each', cost.perPiece ? money(cost.perPiece) : '–'],
    ['retail', prices ? money(exactly(prices.retail.grossMinor)) : '–'],
    ['wholesale', prices ? money(exactly(prices.wholesale.grossMinor)) : '–'],
    ['paidBy', prices?.breakEven ? counted(prices.breakEven, 'piece', 'pieces') : '–'],
  ]);
}

/** “A piece costs €0.12 less.” */
function eachWords(before: Cost, after: Cost, currency: string, locale: string): string {
  const [was, is] = [before, after].map(({ perPiece }) => perPiece && certainMinor(perPiece));
  if (was == null || is == null)
    return 'How much more or less a piece costs is not certain: a price is not known.';
  return `A piece costs ${moreWords(is - was, currency, locale) ?? 'the same'}.`;
}
