import { type Molds, roundFills } from '../molds/filled';

/** How the molds are filled, and the least of base that melts well, g; 0 where any weight does. */
export interface Fillings extends Molds {
  fills: number;
  leastMeltG: number;
}

/** What is melted for a filling that takes so much base, g: less than melts well is melted as that. */
export function meltOfFilling(needG: number, { leastMeltG }: Pick<Fillings, 'leastMeltG'>): number {
  return needG > 0 ? Math.max(needG, leastMeltG) : 0;
}

/** A round that is full to this much is full. */
const CRUMB = 1e-9;

/** What is melted for all fillings of the molds, one after the other, g, of a jug whose pours take so much base. */
export function meltOfFillings(baseG: number, { fills, leastMeltG, ...molds }: Fillings): number {
  if (!(leastMeltG > 0)) return baseG;
  const full = Math.min(roundFills(molds), fills);
  const before = Math.ceil(fills / full - CRUMB) - 1;
  const perFillG = baseG / fills;
  const ofFullG = meltOfFilling(perFillG * full, { leastMeltG });
  // Summed up like this it is the need to the last digit where each filling takes enough.
  const overG = before * (ofFullG - perFillG * full);
  const lastG = perFillG * (fills - before * full);
  return baseG + overG + (meltOfFilling(lastG, { leastMeltG }) - lastG);
}
