import { certainMinor } from './bounds';
import type { Cost, CostLine, CostPart } from './cost';

/** What made one thing dearer or cheaper than it was planned, minor units of the whole run. */
export interface CostChange {
  part: CostPart;
  id: string;
  name: string;
  planned: CostLine | null;
  real: CostLine | null;
  /** More or less of it, at the price it really had. */
  byAmountMinor: number;
  /** Another price for what was planned of it. */
  byPriceMinor: number;
}

/** How a piece came to cost otherwise: the parts add up to the difference. */
export interface CostDifference {
  perPieceMinor: number;
  /** The dearest first. */
  changes: CostChange[];
  /** Of a piece, by all that was used and paid otherwise. */
  byCostMinor: number;
  /** Of a piece, by other pieces that carry it. */
  byPiecesMinor: number;
}

/** Less is rounding, minor units. */
const NOTHING_MINOR = 0.5;

/** What a run cost beside what it was planned to, by its causes; null where one of them is not known for certain, or carries no piece. */
export function differenceOf(planned: Cost, real: Cost): CostDifference | null {
  const [before, after] = [certainMinor(planned.total), certainMinor(real.total)];
  if (before === null || after === null || !(planned.pieces > 0) || !(real.pieces > 0)) return null;
  const keys = new Set([...planned.lines, ...real.lines].map(({ part, id }) => `${part} ${id}`));
  const of = ({ lines }: Cost, key: string) => lines.find(({ part, id }) => `${part} ${id}` === key) ?? null;
  const changes = [...keys].flatMap((key): CostChange[] => {
    const [was, is] = [of(planned, key), of(real, key)];
    const named = is ?? was;
    if (!named) return [];
    const change = {
      part: named.part,
      id: named.id,
      name: named.name,
      planned: was,
      real: is,
      ...causes(was, is),
    };
    return Math.abs(change.byAmountMinor) + Math.abs(change.byPriceMinor) > NOTHING_MINOR ? [change] : [];
  });
  return {
    perPieceMinor: after / real.pieces - before / planned.pieces,
    changes: changes.sort((a, b) => sizeOf(b) - sizeOf(a)),
    byCostMinor: (after - before) / planned.pieces,
    byPiecesMinor: after / real.pieces - after / planned.pieces,
  };
}

function sizeOf({ byAmountMinor, byPriceMinor }: CostChange): number {
  return Math.abs(byAmountMinor + byPriceMinor);
}

function causes(
  was: CostLine | null,
  is: CostLine | null,
): Pick<CostChange, 'byAmountMinor' | 'byPriceMinor'> {
  const [before, after] = [was?.cost.leastMinor ?? 0, is?.cost.leastMinor ?? 0];
  if (!was || !is || !(was.amount > 0) || !(is.amount > 0))
    return { byAmountMinor: after - before, byPriceMinor: 0 };
  const each = after / is.amount;
  return { byAmountMinor: (is.amount - was.amount) * each, byPriceMinor: was.amount * each - before };
}
