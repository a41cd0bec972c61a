import type { JugOnward } from './heatOnward';
import type { PourWindow } from './onward';

/** How warm a jug is thought to be at a moment, by its forecast. */
export function jugThenC({ fromMs, forecast: { curve, lastC } }: JugOnward, atMs: number): number {
  const passedS = (atMs - fromMs) / 1000;
  const next = curve.findIndex(({ timeS }) => timeS >= passedS);
  const [from, to] = [curve[next - 1], curve[next]];
  if (!from || !to) return (next === 0 ? curve[0] : curve.at(-1))?.tempC.middle ?? lastC;
  const share = (passedS - from.timeS) / (to.timeS - from.timeS);
  return from.tempC.middle + (to.tempC.middle - from.tempC.middle) * share;
}

/** How warm a jug is that was rewarmed for a pour whose window has closed; null where it isn't warm enough to join. */
export function rewarmedC(
  { rewarmC, closesMs }: Pick<PourWindow, 'rewarmC' | 'closesMs'>,
  jug: JugOnward | undefined,
  nowMs: number,
): number | null {
  if (!jug?.isRead || rewarmC === null || nowMs <= closesMs) return null;
  const tempC = jugThenC(jug, nowMs);
  return tempC >= rewarmC.fromC && tempC <= rewarmC.toC ? tempC : null;
}
