import type { Stack } from './stack';
import { liquidFraction, type Substance } from './substance';

/** Fine cells are kept this far below the top, m: as deep as the meeting with the next pour is followed. */
const FINE_M = 0.012;
/** Deeper, cells may be as thick as this share of their depth: what still changes there changes slowly. */
const SHARE_OF_DEPTH = 0.125;

/**
 * The same heat in fewer cells: far below the top, neighbours of one slab become one.
 *
 * @param kept so many cells at the bottom stay as they are
 */
export function coarserBelow(stack: Stack, kept: number): Stack {
  const groups = groupsOf(stack, kept);
  if (groups.length === stack.tempC.length) return stack;
  const coarser: Stack = {
    slabs: stack.slabs,
    thicknessM: new Float64Array(groups.length),
    slab: new Int32Array(groups.length),
    tempC: new Float64Array(groups.length),
    liquid: new Float64Array(groups.length),
  };
  groups.forEach((group, at) => {
    const one = oneOf(stack, group);
    coarser.slab[at] = stack.slab[group.from] ?? 0;
    coarser.thicknessM[at] = one.thicknessM;
    coarser.tempC[at] = one.tempC;
    coarser.liquid[at] = one.liquid;
  });
  return coarser;
}

/** First and last cell of what becomes one. */
interface Group {
  from: number;
  to: number;
}

/** What cells are together. */
function oneOf({ thicknessM, slab, slabs, tempC, liquid }: Stack, { from, to }: Group): Cell {
  const cell = (at: number): Cell => ({
    thicknessM: thicknessM[at] ?? 0,
    tempC: tempC[at] ?? 0,
    liquid: liquid[at] ?? 0,
  });
  const substance = slabs[slab[from] ?? 0]?.substance;
  if (from === to || !substance) return cell(from);
  let [sumM, tempM, liquidM] = [0, 0, 0];
  for (let at = from; at <= to; at++) {
    const each = cell(at);
    sumM += each.thicknessM;
    tempM += each.thicknessM * each.tempC;
    liquidM += each.thicknessM * each.liquid;
  }
  return atRest(substance, { thicknessM: sumM, tempC: tempM / sumM, liquid: liquidM / sumM });
}

interface Cell {
  thicknessM: number;
  tempC: number;
  liquid: number;
}

/** What becomes one, from the bottom up. */
function groupsOf({ thicknessM, slab }: Stack, kept: number): Group[] {
  const groups: Group[] = [];
  let depthM = 0;
  let to = thicknessM.length - 1;
  while (to >= 0) {
    const mostM = to >= kept && depthM >= FINE_M ? depthM * SHARE_OF_DEPTH : 0;
    let from = to;
    let sumM = thicknessM[to] ?? 0;
    while (from > kept && slab[from - 1] === slab[to] && sumM + (thicknessM[from - 1] ?? 0) <= mostM)
      sumM += thicknessM[--from] ?? 0;
    groups.push({ from, to });
    depthM += sumM;
    to = from - 1;
  }
  return groups.reverse();
}

/** Cells that were on different lines of their heat are on one together: the same heat at another temperature. */
function atRest({ heatCapacityJKgK, melting }: Substance, mean: Cell): Cell {
  if (!melting) return mean;
  const latentK = melting.latentJKg / heatCapacityJKgK;
  const heatK = mean.tempC + latentK * mean.liquid;
  // Between all set and all liquid, where the heat is what it was: it only grows with the temperature.
  let [low, high] = [heatK - latentK, heatK];
  for (let turn = 0; turn < HALVINGS; turn++) {
    const middle = (low + high) / 2;
    if (middle + latentK * liquidFraction(melting, middle, mean.liquid) > heatK) high = middle;
    else low = middle;
  }
  const restC = (low + high) / 2;
  return { ...mean, tempC: restC, liquid: (heatK - restC) / latentK };
}

/** From some ten kelvins to less than a millionth. */
const HALVINGS = 30;
