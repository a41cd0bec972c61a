import { conduct, type Fineness, USUAL_FINENESS } from './conduct';
import { copyOf, type Ends, poured, type Slab, type Stack, topWithin } from './stack';
import { meltsToC, type Substance } from './substance';

/** A pour that is this liquid again joins what is poured on it: tuned against practice. */
const JOINS_LIQUID = 0.4;
/** A stream strikes the layer below for so long, with this film, before it lies there. */
const STREAM_S = 6;
const STREAM_WM2K = 2000;
/** The deepest re-melt comes within this. */
const LONGEST_S = 900;
/** Heat goes no further while it lasts: some minutes. */
const REACHED_M = 0.012;
/** Nor that of a stream while it strikes: of a step at the surface erfc(x / 2√(α t)) is felt, a millionth so deep. */
const STREAM_REACHED_M = 0.0056;
/** Below the deepest it has been by so much, it is on its way back. */
const RECEDING_M = 5e-5;

/** How a pour meets what has set below it. */
export interface Meeting {
  /** How deep the layer below becomes liquid again, m. */
  remeltM: number;
  /** How much of it stays set at the thinnest, below that, m; nothing when the pour breaks through. */
  bridgeM: number;
}

/** What is judged of a meeting, in words: see `bondOf`. */
export const BONDS = ['weak', 'good', 'deep', 'broken'] as const;
export type Bond = (typeof BONDS)[number];

/** Less of the layer below becomes liquid again, and it does not join. */
export const WEAK_BELOW_M = 0.0001;
const DEEP_ABOVE_M = 0.002;
/** So much of the layer below must stay set while the next one is on it. */
export const BRIDGE_M = 0.0005;

/** Judged by what worked against practice. */
export function bondOf({ remeltM, bridgeM }: Meeting): Bond {
  if (bridgeM < BRIDGE_M) return 'broken';
  if (remeltM < WEAK_BELOW_M) return 'weak';
  return remeltM > DEEP_ABOVE_M ? 'deep' : 'good';
}

/**
 * Pours onto a stack and follows the front of melting below the contact.
 *
 * @param below is left as it is
 * @param floor first cell of the layer that is poured on
 * @param how as a stream it strikes before it lies there; spooned, sprayed or dripped on it spreads
 */
export function meet(
  below: Stack,
  floor: number,
  layer: readonly Slab[],
  ends: Ends,
  how: 'stream' | 'spread' = 'stream',
  fineness: Fineness = USUAL_FINENESS,
): Meeting {
  const [first] = layer;
  const on = below.slabs[below.slab[below.slab.length - 1] ?? 0];
  if (!first || !on?.substance.melting) throw new RangeError('nothing to pour, or nothing that melts below');
  const joinsC = meltsToC(on.substance.melting, JOINS_LIQUID);
  let stack = copyOf(topWithin(below, REACHED_M));
  const isCut = stack.tempC.length < below.tempC.length;
  const near = { ...ends, bottom: isCut ? null : ends.bottom };
  const base = Math.max(0, floor - (below.tempC.length - stack.tempC.length));
  const top = stack.tempC.length - 1;
  const halfBelow = halfConductance(stack, top);
  const worst: Meeting = { remeltM: 0, bridgeM: Number.POSITIVE_INFINITY };
  const look = (surfaceC: number) => {
    const depthM = frontM(stack, top, base, surfaceC, joinsC);
    worst.remeltM = Math.max(worst.remeltM, depthM);
    worst.bridgeM = Math.min(worst.bridgeM, bridgeBelowM(stack, top, base, depthM));
    return depthM;
  };
  if (how === 'stream') {
    const struck = topWithin(stack, STREAM_REACHED_M);
    const stream = {
      ...near,
      bottom: struck.tempC.length < stack.tempC.length ? null : near.bottom,
      top: (surfaceC: number) => STREAM_WM2K * (surfaceC - first.tempC),
    };
    conduct(
      struck,
      stream,
      STREAM_S,
      () => {
        const inside = stack.tempC[top] ?? 0;
        look((halfBelow * inside + STREAM_WM2K * first.tempC) / (halfBelow + STREAM_WM2K));
        return false;
      },
      fineness,
    );
  }
  stack = poured(stack, lowestOf(layer));
  const halfAbove = halfConductance(stack, top + 1);
  conduct(
    stack,
    near,
    LONGEST_S,
    () => {
      const [under, over] = [stack.tempC[top] ?? 0, stack.tempC[top + 1] ?? 0];
      const surfaceC = (halfBelow * under + halfAbove * over) / (halfBelow + halfAbove);
      const depthM = look(surfaceC);
      return worst.bridgeM <= 0 || depthM < worst.remeltM - RECEDING_M || surfaceC < joinsC - 1;
    },
    fineness,
  );
  return worst;
}

/** As much of a pour as its meeting with the layer below feels. */
function lowestOf(layer: readonly Slab[]): Slab[] {
  const kept: Slab[] = [];
  let depthM = 0;
  for (const slab of layer) {
    const each = slab.thicknessM / slab.cells;
    const cells = Math.min(slab.cells, Math.ceil((REACHED_M - depthM) / each - 1e-9));
    if (cells < 1) break;
    kept.push({ ...slab, cells, thicknessM: each * cells });
    depthM += each * cells;
  }
  return kept;
}

function halfConductance({ thicknessM, slab, slabs }: Stack, at: number): number {
  const substance: Substance | undefined = slabs[slab[at] ?? 0]?.substance;
  return (2 * (substance?.conductivityWMK ?? 0)) / (thicknessM[at] ?? 1);
}

/** How deep below the contact a temperature is reached, between the middles of cells. */
function frontM({ tempC, thicknessM }: Stack, top: number, floor: number, surfaceC: number, atC: number) {
  if (surfaceC <= atC) return 0;
  let [depthM, aboveM, aboveC] = [0, 0, surfaceC];
  for (let at = top; at >= floor; at--) {
    const half = (thicknessM[at] ?? 0) / 2;
    const here = tempC[at] ?? 0;
    if (here <= atC) return aboveM + ((depthM + half - aboveM) * (aboveC - atC)) / (aboveC - here);
    [aboveM, aboveC] = [depthM + half, here];
    depthM += 2 * half;
  }
  return depthM;
}

/** What stays set below a front: down to where it is liquid still, or to the floor. */
function bridgeBelowM({ liquid, thicknessM }: Stack, top: number, floor: number, frontAtM: number): number {
  let depthM = 0;
  for (let at = top; at >= floor; at--) {
    const half = (thicknessM[at] ?? 0) / 2;
    const here = liquid[at] ?? 0;
    if (depthM >= frontAtM && here > JOINS_LIQUID) {
      if (at === top) return 0;
      const above = liquid[at + 1] ?? 0;
      const between = half + (thicknessM[at + 1] ?? 0) / 2;
      const share = above < JOINS_LIQUID ? (here - JOINS_LIQUID) / (here - above) : 1;
      return Math.max(0, depthM + half - between * share - frontAtM);
    }
    depthM += 2 * half;
  }
  return Math.max(0, depthM - frontAtM);
}
