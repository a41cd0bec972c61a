import { type MeltingSubstance, meltingFraction } from './substance';

/** One burst of a microwave, and what follows it. */
export interface Burst {
  lengthS: number;
  /** Of full power. */
  power: number;
  stirS: number;
  restS: number;
}

export interface Melt {
  bursts: Burst[];
  /** From the first burst to the last stir, s. */
  lengthS: number;
  endC: number;
  /** The hottest place on the way. */
  hottestC: number;
}

export interface MeltRequest {
  massG: number;
  substance: MeltingSubstance;
  fromC: number;
  /** Warm enough to stir colour in. */
  toC: number;
  /** Nowhere hotter than this. */
  ceilingC: number;
  /** What the oven is sold as. */
  powerW: number;
}

const BINS = 12;
/** Outside of a lump gets more than its inside. */
const UNEVEN = 0.45;
const WEIGHTS = Array.from({ length: BINS }, (_, bin) => 1 + UNEVEN * ((2 * bin) / (BINS - 1) - 1));
/** What a stir and its rest even out: a lump is warmed by the liquid round it more slowly. */
const STIRRED_LIQUID = 0.9;
const STIRRED_LUMPS = 0.35;
const LUMP_ABOVE = 0.4;
const MELTED = 0.95;
const MOST_BURSTS = 400;
const POWERS = [1, 0.7, 0.5, 0.3] as const;
/** A dial is set no finer, and a magnetron that goes on and off does nothing sooner. */
const STEP_S = 5;
const BELOW_CEILING_K = 1;
const NEARLY_K = 1.5;

/** Absorbed of the power that is paid for: little of it by a small mass. A guess. */
function efficiency(massG: number): number {
  return (0.85 * massG) / (massG + 75);
}

/** Common practice, no source: 10 s for up to 60 g, 15 s up to 200 g, 30 s above. */
function usualBurstS(massG: number): number {
  if (massG <= 60) return 10;
  return massG <= 200 ? 15 : 30;
}

/** As long as is usual, at the most power that does not scorch the hottest part; nothing when it has to rest first. */
function nextBurst(lackS: number, roomS: number, usualS: number): Pick<Burst, 'power' | 'lengthS'> {
  for (const power of POWERS) {
    const wantedS = Math.min(usualS, Math.max(STEP_S, lackS / power));
    const mostS = roomS / power;
    if (mostS >= wantedS || power === POWERS.at(-1)) {
      const upS = Math.ceil(wantedS / STEP_S - 1e-9) * STEP_S;
      return { power, lengthS: upS <= mostS ? upS : Math.floor(mostS / STEP_S) * STEP_S };
    }
  }
  return { power: 1, lengthS: 0 };
}

/**
 * A list of bursts that ends melted and nowhere above the ceiling.
 *
 * A dozen parts that take up the oven's power unevenly; each stir evens out the liquid and warms the lumps. A burst is as
 * long as practice has it, or shorter, or of less power where the hottest part would pass the ceiling.
 *
 * @throws RangeError when no list of bursts gets there: the ceiling is below what it takes to melt
 */
export function meltInBursts({ massG, substance, fromC, toC, ceilingC, powerW }: MeltRequest): Melt {
  if (!(massG > 0 && powerW > 0)) throw new RangeError('a melt needs a mass and a power');
  if (!(toC < ceilingC)) throw new RangeError('the ceiling is below what it takes to melt');
  const perS = (1000 * powerW * efficiency(massG)) / massG;
  let heats = WEIGHTS.map(() => heatAt(fromC, substance));
  let hottestC = fromC;
  const bursts: Burst[] = [];
  const wanted = heatAt(toC, substance);
  const mean = () => heats.reduce((sum, heat) => sum + heat, 0) / BINS;
  const mostHeat = heatAt(ceilingC - BELOW_CEILING_K, substance);
  const isMelted = () => heats.every((heat) => liquidAt(heat, substance) >= MELTED);
  const isWarm = () => mean() >= wanted - NEARLY_K * substance.heatCapacityJKgK;
  while (!(isMelted() && isWarm())) {
    if (bursts.length >= MOST_BURSTS) throw new RangeError('it does not melt below its ceiling');
    const lackS = Math.max(0, wanted - mean()) / perS;
    const roomS = Math.min(...heats.map((heat, bin) => (mostHeat - heat) / (perS * (WEIGHTS[bin] ?? 1))));
    const { power, lengthS } = nextBurst(lackS, roomS, usualBurstS(massG));
    // So little that one more burst would scorch it: melted is enough.
    if (lengthS === 0 && isMelted()) break;
    heats = heats.map((heat, bin) => heat + perS * power * lengthS * (WEIGHTS[bin] ?? 1));
    hottestC = Math.max(hottestC, ...heats.map((heat) => tempAt(heat, substance)));
    heats = stirred(heats, substance);
    const burst: Burst = { lengthS, power, stirS: massG > 200 ? 15 : 10, restS: lengthS === 0 ? 20 : 5 };
    // A rest alone goes on with the burst before.
    const before = bursts.at(-1);
    if (lengthS === 0 && before && before.restS < 120) before.restS += burst.stirS + burst.restS;
    else bursts.push(burst);
  }
  const lengthS = bursts.reduce((sum, each) => sum + each.lengthS + each.stirS + each.restS, 0);
  return { bursts, lengthS, endC: tempAt(mean(), substance), hottestC };
}

/** Our own guess for stirred cubes in a pot over hot water: W/m²K over the wetted pot, water at 95 °C. */
const BATH_WM2K = 90;
const BATH_C = 95;

/** How long a double boiler takes, s: slower, gentler. */
export function meltInBathS({
  massG,
  substance,
  fromC,
  toC,
}: Omit<MeltRequest, 'powerW' | 'ceilingC'>): number {
  if (!(massG > 0)) throw new RangeError('a melt needs a mass');
  const volumeM3 = massG / 1000 / substance.densityKgM3;
  const radiusM = Math.cbrt(volumeM3 / Math.PI);
  const wettedM2 = 3 * Math.PI * radiusM ** 2;
  const energyJ = (massG / 1000) * (heatAt(toC, substance) - heatAt(fromC, substance));
  return energyJ / (BATH_WM2K * wettedM2 * (BATH_C - (fromC + toC) / 2));
}

/** J/kg over 0 °C, while it warms. */
function heatAt(tempC: number, { heatCapacityJKgK, melting }: MeltingSubstance): number {
  return heatCapacityJKgK * tempC + melting.latentJKg * meltingFraction(melting, tempC);
}

function tempAt(heat: number, { heatCapacityJKgK, melting }: MeltingSubstance): number {
  const { solidusC, liquidusC, hysteresisK, latentJKg } = melting;
  const [lowC, highC] = [solidusC + hysteresisK, liquidusC + hysteresisK];
  const low = heatCapacityJKgK * lowC;
  const high = heatCapacityJKgK * highC + latentJKg;
  if (heat <= low) return heat / heatCapacityJKgK;
  if (heat >= high) return (heat - latentJKg) / heatCapacityJKgK;
  return lowC + ((highC - lowC) * (heat - low)) / (high - low);
}

function liquidAt(heat: number, substance: MeltingSubstance): number {
  return meltingFraction(substance.melting, tempAt(heat, substance));
}

/** Each part goes towards the mean, a lump less far; what they give is what they take. */
function stirred(heats: readonly number[], substance: MeltingSubstance): number[] {
  const mean = heats.reduce((sum, heat) => sum + heat, 0) / heats.length;
  const moved = heats.map((heat) => {
    const share = liquidAt(heat, substance) > LUMP_ABOVE ? STIRRED_LIQUID : STIRRED_LUMPS;
    return heat + share * (mean - heat);
  });
  const off = mean - moved.reduce((sum, heat) => sum + heat, 0) / heats.length;
  return moved.map((heat) => heat + off);
}
