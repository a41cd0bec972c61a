import { liquidFraction, type Substance } from './substance';

/** One layer of a stack: bench, mold floor, a pour. From the bottom up. */
export interface Slab {
  substance: Substance;
  thicknessM: number;
  cells: number;
  tempC: number;
  /** Heat that leaves through the wall: W/m³K, a side coefficient times perimeter over area. */
  sideWM3K: number;
}

/** How heat leaves one end of a stack. Positive is out. */
export type EndLoss = (surfaceC: number, liquid: number) => number;

export interface Ends {
  /** At the bottom; null lets nothing through. */
  bottom: EndLoss | null;
  top: EndLoss | null;
  roomC: number;
}

/** Temperatures and liquid shares of the cells of a stack, from the bottom up. */
export interface Stack {
  thicknessM: Float64Array;
  /** Place of each cell among the slabs. */
  slab: Int32Array;
  tempC: Float64Array;
  liquid: Float64Array;
  slabs: Slab[];
}

export function stackOf(slabs: readonly Slab[]): Stack {
  const count = slabs.reduce((sum, { cells }) => sum + cells, 0);
  const stack: Stack = {
    thicknessM: new Float64Array(count),
    slab: new Int32Array(count),
    tempC: new Float64Array(count),
    liquid: new Float64Array(count),
    slabs: [...slabs],
  };
  let at = 0;
  slabs.forEach(({ cells, thicknessM, tempC, substance: { melting } }, index) => {
    if (!(cells >= 1 && thicknessM > 0)) throw new RangeError('a slab needs a thickness and a cell');
    for (let cell = 0; cell < cells; cell++, at++) {
      stack.thicknessM[at] = thicknessM / cells;
      stack.slab[at] = index;
      stack.tempC[at] = tempC;
      // Poured it is as liquid as it can be at that temperature.
      stack.liquid[at] = melting ? liquidFraction(melting, tempC, 1) : 0;
    }
  });
  return stack;
}

/** Puts slabs on top; what lies below keeps its state. */
export function poured(stack: Stack, on: readonly Slab[]): Stack {
  const more = stackOf(on);
  const joined = (below: Float64Array, above: Float64Array) => {
    const all = new Float64Array(below.length + above.length);
    all.set(below);
    all.set(above, below.length);
    return all;
  };
  const count = stack.slab.length;
  const slab = new Int32Array(count + more.slab.length);
  slab.set(stack.slab);
  more.slab.forEach((own, at) => {
    slab[count + at] = own + stack.slabs.length;
  });
  return {
    thicknessM: joined(stack.thicknessM, more.thicknessM),
    slab,
    tempC: joined(stack.tempC, more.tempC),
    liquid: joined(stack.liquid, more.liquid),
    slabs: [...stack.slabs, ...more.slabs],
  };
}

/** The same state, to go on with apart. */
export function copyOf(stack: Stack): Stack {
  return { ...stack, tempC: stack.tempC.slice(), liquid: stack.liquid.slice() };
}

/** The uppermost cells, down to a depth at least, seen by themselves: what changes in them changes in the stack. */
export function topWithin(stack: Stack, depthM: number): Stack {
  let first = stack.tempC.length;
  for (let depth = 0; first > 0 && depth < depthM - 1e-9; depth += stack.thicknessM[first] ?? 0) first--;
  return {
    ...stack,
    thicknessM: stack.thicknessM.subarray(first),
    slab: stack.slab.subarray(first),
    tempC: stack.tempC.subarray(first),
    liquid: stack.liquid.subarray(first),
  };
}

/** Heat in the stack over a temperature, J/m². */
export function heatJM2({ thicknessM, slab, tempC, liquid, slabs }: Stack, overC = 0): number {
  let sum = 0;
  for (let at = 0; at < tempC.length; at++) {
    const substance = slabs[slab[at] ?? 0]?.substance;
    if (!substance) continue;
    const { densityKgM3, heatCapacityJKgK, melting } = substance;
    const perKg =
      heatCapacityJKgK * ((tempC[at] ?? 0) - overC) + (melting?.latentJKg ?? 0) * (liquid[at] ?? 0);
    sum += densityKgM3 * perKg * (thicknessM[at] ?? 0);
  }
  return sum;
}
