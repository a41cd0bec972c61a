const SOON_S = 300;
const SOON_SHARE = 0.35;

/** Soon after it carries, well before it no longer bonds. */
export function idealS(earliestS: number, latestS: number): number {
  return earliestS + Math.min(SOON_S, SOON_SHARE * (latestS - earliestS));
}
