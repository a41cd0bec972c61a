import { conduct } from './conduct';
import { CARRIES_LIQUID, coreC } from './skin';
import { type Slab, stackOf } from './stack';
import type { Substance } from './substance';

const CELLS = 10;
const SOAP_CELLS = 24;
const LONGEST_S = 1200;
const THINNEST_M = 0.0004;
const THICKEST_M = 0.02;
const TURNS = 7;

/**
 * Thickness from which the middle of an embed stays set when hot soap comes on both of its faces, m. Half of the plate and
 * half of the pour, with nothing lost: the points of an embed are as thin as that.
 *
 * @returns nothing when the thinnest stays; null when not even a plate of 20 mm does
 */
export function thinnestThatStaysM(
  embed: Substance,
  embedC: number,
  soap: Substance,
  pourC: number,
  pourM: number,
): number | null {
  const stays = (thicknessM: number) => {
    const half = (substance: Substance, over: Pick<Slab, 'thicknessM' | 'cells' | 'tempC'>): Slab => ({
      substance,
      sideWM3K: 0,
      ...over,
    });
    const stack = stackOf([
      half(embed, { thicknessM: thicknessM / 2, cells: CELLS, tempC: embedC }),
      half(soap, { thicknessM: pourM / 2, cells: SOAP_CELLS, tempC: pourC }),
    ]);
    let most = stack.liquid[0] ?? 0;
    let warmest = stack.tempC[0] ?? 0;
    conduct(stack, { bottom: null, top: null, roomC: embedC }, LONGEST_S, (_, { tempC, liquid }) => {
      most = Math.max(most, liquid[0] ?? 0);
      const now = tempC[0] ?? 0;
      const isPast = now < warmest - 0.2 || coreC(stack, 0) - now < 0.2;
      warmest = Math.max(warmest, now);
      return most > CARRIES_LIQUID || isPast;
    });
    return most <= CARRIES_LIQUID;
  };
  if (stays(THINNEST_M)) return 0;
  if (!stays(THICKEST_M)) return null;
  let [low, high] = [THINNEST_M, THICKEST_M];
  for (let turn = 0; turn < TURNS; turn++) {
    const middle = Math.sqrt(low * high);
    if (stays(middle)) high = middle;
    else low = middle;
  }
  return high;
}
