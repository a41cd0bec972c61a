/** Rounding in the last digits passes no supplier's or legal limit. */
const SLACK = 1e-6;

/** More than a limit that protects skin or that the law sets. */
export function exceeds(value: number, limit: number): boolean {
  return value > limit * (1 + SLACK) + Number.EPSILON;
}

/** A scale and a hand are so fine: our own assumption. */
const CAP_SLACK = { points: 0.0005, share: 0.025 };

/** More than a base's cap, which is said in round figures: by more than a twentieth of a point, or a fortieth of it. */
export function exceedsCap(value: number, cap: number): boolean {
  return value > cap + Math.min(CAP_SLACK.points, CAP_SLACK.share * cap) + Number.EPSILON;
}
