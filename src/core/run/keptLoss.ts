const PARTS = 1000;

/** What stays in a jug as the house rules keep it: to a thousandth of what was in it. */
export function keptLoss(fraction: number): number {
  return Math.round(fraction * PARTS) / PARTS;
}
