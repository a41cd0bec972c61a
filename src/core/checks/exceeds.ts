/** Rounding in the last digits is not an overdose. */
const SLACK = 1e-9;

export function exceeds(value: number, limit: number): boolean {
  return value > limit * (1 + SLACK) + Number.EPSILON;
}
