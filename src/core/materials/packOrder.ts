/**
 * What a pack tells of what is in it: an order. Shares fall from place to place down to a line, which nobody marks; below it
 * each is a share of `ONE_PERCENT` at the most, in any order. Regulation (EC) No 1223/2009, Art. 19(1)(g), and 21 CFR 701.3(f).
 */
export interface PackOrder {
  /** How many are on the list. */
  count: number;
  /** Shares that are known, by place from 0; fractions. */
  known: ReadonlyMap<number, number>;
}

export const ONE_PERCENT = 0.01;
/** Rounding in the last digits is no contradiction. */
const CLOSE = 1e-9;

/**
 * The most that a weighted sum of a pack's shares can be, over every place of its line.
 *
 * For one place of the line shares are a floor and what is above it: each step `y` of the fall from place to place adds to all
 * places before it, steps between two known shares have their difference to spend, and all of it adds up to one. The most of
 * such a sum is the least of its dual in the price of that total, which is convex and bends where two of its lines meet (L. V.
 * Kantorovich, 1939; G. B. Dantzig, 1957).
 *
 * @param weights by place; what is missing counts nothing
 * @param above so many are above the line at the least
 * @returns null where no shares can be so: the list contradicts what is known
 * @example mostOfPack({ count: 2, known: new Map() }, new Map([[1, 1]])) // 0.5: the second is half at the most
 */
export function mostOfPack(pack: PackOrder, weights: ReadonlyMap<number, number>, above = 0): number | null {
  let most: number | null = null;
  for (let line = above; line <= pack.count; line++) {
    const here = mostAtLine(pack, weights, line);
    if (here !== null && (most === null || here > most)) most = here;
  }
  return most;
}

/** A step of the fall, or a share below the line: what it adds to the sum, and what it takes of the total. */
interface Way {
  gain: number;
  takes: number;
}

/** Ways that spend from one purse; Infinity where nothing bounds it. */
interface Purse {
  holds: number;
  ways: Way[];
}

function mostAtLine(
  { count, known }: PackOrder,
  weights: ReadonlyMap<number, number>,
  line: number,
): number | null {
  const weight = (place: number) => weights.get(place) ?? 0;
  const purses: Purse[] = [];
  let [sum, fixed] = [0, 0];
  // Below the line, in any order: those that count alike spend from one purse.
  const below = new Map<number, number>();
  for (let place = line; place < count; place++) {
    const share = known.get(place);
    if (share === undefined) below.set(weight(place), (below.get(weight(place)) ?? 0) + ONE_PERCENT);
    else if (share > ONE_PERCENT + CLOSE) return null;
    else [sum, fixed] = [sum + share, fixed + share * weight(place)];
  }
  for (const [gain, holds] of below) purses.push({ holds, ways: [{ gain, takes: 1 }] });
  // Above it, from one known share up to the one before.
  let [floor, end] = [ONE_PERCENT, line];
  for (let place = line - 1; place >= -1; place--) {
    const share = place < 0 ? Number.POSITIVE_INFINITY : known.get(place);
    if (share === undefined) continue;
    if (share < floor - CLOSE) return null;
    const ways: Way[] = [];
    let gain = 0;
    for (let free = place + 1; free < end; free++) {
      gain += weight(free);
      ways.push({ gain, takes: free - place });
      [sum, fixed] = [sum + floor, fixed + floor * weight(free)];
    }
    if (ways.length > 0) purses.push({ holds: share - floor, ways: fewest(ways) });
    if (place >= 0) [sum, fixed] = [sum + share, fixed + share * weight(place)];
    [floor, end] = [share, place];
  }
  const rest = 1 - sum;
  const room = purses.reduce(
    (all, { holds, ways }) => all + holds * Math.max(...ways.map(({ takes }) => takes)),
    0,
  );
  if (rest < -CLOSE || rest > room + CLOSE) return null;
  return fixed + spent(purses, Math.max(0, rest));
}

/** Of ways with the same gain only the one that takes least and the one that takes most may be the best. */
function fewest(ways: readonly Way[]): Way[] {
  const byGain = new Map<number, { least: Way; most: Way }>();
  for (const way of ways) {
    const known = byGain.get(way.gain);
    if (!known) byGain.set(way.gain, { least: way, most: way });
    else if (way.takes < known.least.takes) known.least = way;
    else if (way.takes > known.most.takes) known.most = way;
  }
  return [...byGain.values()].flatMap(({ least, most }) => (least === most ? [least] : [least, most]));
}

/** The most that is gained by spending exactly `rest` of the total. */
function spent(purses: readonly Purse[], rest: number): number {
  const bends = purses.flatMap(({ ways }) => [
    ...ways.map(({ gain, takes }) => gain / takes),
    ...ways.flatMap((a, place) =>
      ways
        .slice(place + 1)
        .flatMap((b) => (a.takes === b.takes ? [] : [(a.gain - b.gain) / (a.takes - b.takes)])),
    ),
  ]);
  // Without a bound on its purse no way may pay more than its price.
  const leastPrice = Math.max(
    Number.NEGATIVE_INFINITY,
    ...purses
      .filter(({ holds }) => holds === Number.POSITIVE_INFINITY)
      .flatMap(({ ways }) => ways.map(({ gain, takes }) => gain / takes)),
  );
  let least = Number.POSITIVE_INFINITY;
  for (const price of bends) {
    if (price < leastPrice - 1e-15) continue;
    let value = price * rest;
    for (const { holds, ways } of purses) {
      if (holds === Number.POSITIVE_INFINITY) continue;
      value += holds * Math.max(0, ...ways.map(({ gain, takes }) => gain - price * takes));
    }
    least = Math.min(least, value);
  }
  return bends.length === 0 ? 0 : least;
}
