import type { Batch, BatchFault } from './batch';

/** How the molds are filled. */
export interface Filling {
  /** Cavities over all rounds; the last may be filled in part, so that 7.4 are seven and one to four tenths of the fill. */
  fills: number;
  /** How full each is, as a fraction of its capacity. */
  fillFraction: number;
}

/** A filling, and why it does not come to the weight that was asked for. */
export interface FoundFilling extends Filling {
  fault: BatchFault | null;
}

/** What a filling comes to, g; null where it leaves no room for base. */
type MassAt = (filling: Filling) => number | null;

const FULL = 1;
const NEXT_TO_NOTHING = 1e-5;
const MOST_FILLS = 1e7;
const ALIKE = 1e-9;

/**
 * The filling at which a plan comes to the weight of its batch. A batch grows with the fill and with the number of fills,
 * so one search finds either.
 *
 * @param asSaid by the plan's pieces and fill: the one that does not follow is taken from here
 */
export function fillingOf(
  { massG, gives }: Pick<Batch, 'massG' | 'gives'>,
  asSaid: Filling,
  massAt: MassAt,
): FoundFilling {
  if (gives === 'fill') return fillOf(massG, asSaid, massAt);
  const { fillFraction } = asSaid;
  const at = (fills: number) => massAt({ fills, fillFraction });
  const ofOneG = at(1);
  // Less than one is one that is not so full.
  if (ofOneG !== null && ofOneG > massG) return fillOf(massG, { fills: 1, fillFraction }, massAt);
  const most = enoughFills(massG, ofOneG, at);
  const fills = most === null ? null : whereReaches(massG, 1, most, at);
  return fills === null
    ? { ...asSaid, fault: 'sizes-fixed' }
    : { fills: whole(fills), fillFraction, fault: null };
}

/** So many fills that they come to the weight; null where more of them come to no more. */
function enoughFills(
  massG: number,
  ofOneG: number | null,
  at: (fills: number) => number | null,
): number | null {
  const ofTwoG = at(2);
  if (ofTwoG !== null && ofTwoG >= massG) return 2;
  const eachG = ofTwoG === null || ofOneG === null ? 0 : ofTwoG - ofOneG;
  if (ofTwoG !== null && ofOneG !== null && eachG <= ALIKE * ofTwoG) return null;
  // Most batches grow by as much with each fill.
  let most = eachG > 0 && ofTwoG !== null ? 2 + ((massG - ofTwoG) / eachG) * (1 + ALIKE) : 4;
  while (most <= MOST_FILLS && (at(most) ?? 0) < massG) most *= 2;
  return most <= MOST_FILLS ? most : null;
}

function fillOf(massG: number, asSaid: Filling, massAt: MassAt): FoundFilling {
  const { fills } = asSaid;
  const at = (fillFraction: number) => massAt({ fills, fillFraction });
  const brimfulG = at(FULL);
  // There is no room for base even so, and the sheet says that.
  if (brimfulG === null) return { fills, fillFraction: FULL, fault: null };
  const leastG = at(NEXT_TO_NOTHING);
  if (leastG !== null && brimfulG - leastG <= ALIKE * brimfulG) return { ...asSaid, fault: 'sizes-fixed' };
  if (brimfulG < massG * (1 - ALIKE)) return { fills, fillFraction: FULL, fault: 'over' };
  const fillFraction =
    leastG !== null && leastG > massG ? null : whereReaches(massG, NEXT_TO_NOTHING, FULL, at);
  return fillFraction === null
    ? { ...asSaid, fault: 'under' }
    : { fills, fillFraction: Math.min(FULL, fillFraction), fault: null };
}

/** Cavities that are filled to the last crumb are told as whole ones. */
function whole(fills: number): number {
  const nearest = Math.round(fills);
  return nearest > 0 && Math.abs(fills - nearest) <= ALIKE * nearest ? nearest : fills;
}

const MOST_STEPS = 100;
const REACHED = 1e-11;
const NEAR = 1e-6;

/**
 * Where a figure that grows reaches a target between two places, by the rule of false position with the weights of Illinois
 * (Dowell and Jarratt 1971): a straight line through both ends, and half the weight for an end that stays. Null where the
 * figure leaps over the target.
 *
 * @param figure null is less than any target
 */
function whereReaches(
  target: number,
  from: number,
  to: number,
  figure: (at: number) => number | null,
): number | null {
  const offAt = (at: number) => (figure(at) ?? Number.NEGATIVE_INFINITY) - target;
  let low = { at: from, off: offAt(from) };
  let high = { at: to, off: offAt(to) };
  let nearest = Math.abs(low.off) < Math.abs(high.off) ? low : high;
  let stays: 'low' | 'high' | null = null;
  for (let step = 0; step < MOST_STEPS; step++) {
    if (Math.abs(nearest.off) <= REACHED * target || high.at - low.at <= 1e-15 * high.at) break;
    const line = (low.at * high.off - high.at * low.off) / (high.off - low.off);
    const at = line > low.at && line < high.at ? line : (low.at + high.at) / 2;
    const found = { at, off: offAt(at) };
    if (Math.abs(found.off) < Math.abs(nearest.off)) nearest = found;
    if (found.off < 0) {
      low = found;
      if (stays === 'high') high = { ...high, off: high.off / 2 };
      stays = 'high';
    } else {
      high = found;
      if (stays === 'low') low = { ...low, off: low.off / 2 };
      stays = 'low';
    }
  }
  return Math.abs(nearest.off) <= NEAR * target ? nearest.at : null;
}
