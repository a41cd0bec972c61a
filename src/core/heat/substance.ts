/** What heat meets in a material. SI units, since that is how these are published. */
export interface Substance {
  densityKgM3: number;
  heatCapacityJKgK: number;
  conductivityWMK: number;
  /** What melts in it; null for what does not melt here. */
  melting: Melting | null;
}

/** What melts. */
export interface MeltingSubstance extends Substance {
  melting: Melting;
}

export interface Melting {
  latentJKg: number;
  /** All of it is set below the one and liquid above the other, while it cools. */
  solidusC: number;
  liquidusC: number;
  /** It melts so much higher than it sets: a gel forms late and holds on. */
  hysteresisK: number;
  liquidConductivityWMK: number;
}

// Typical and tuned figures, from memory; each may be replaced by the shelf or by readings.
export const SOAP: MeltingSubstance = {
  densityKgM3: 1080,
  heatCapacityJKgK: 2650,
  conductivityWMK: 0.3,
  melting: { latentJKg: 40_000, solidusC: 42, liquidusC: 53, hysteresisK: 4, liquidConductivityWMK: 0.28 },
};
/** Syndet sets lower and gives off less. Guesses. */
export const SYNDET: MeltingSubstance = {
  ...SOAP,
  melting: { latentJKg: 30_000, solidusC: 38, liquidusC: 50, hysteresisK: 4, liquidConductivityWMK: 0.28 },
};
/** Handbook figures, from memory. */
export const SILICONE: Substance = solid(1150, 1300, 0.2);
export const WOOD: Substance = solid(650, 1700, 0.16);
export const SOFTWOOD: Substance = solid(500, 1700, 0.13);
export const PLASTIC: Substance = solid(1200, 1300, 0.2);
export const STEEL: Substance = solid(7900, 500, 16);

function solid(densityKgM3: number, heatCapacityJKgK: number, conductivityWMK: number): Substance {
  return { densityKgM3, heatCapacityJKgK, conductivityWMK, melting: null };
}

/** Share that is liquid while it cools, without any memory. */
export function settingFraction({ solidusC, liquidusC }: Melting, tempC: number): number {
  return Math.min(1, Math.max(0, (tempC - solidusC) / (liquidusC - solidusC)));
}

/** The same while it warms: some kelvins later. */
export function meltingFraction(melting: Melting, tempC: number): number {
  return settingFraction(melting, tempC - melting.hysteresisK);
}

/** Where so much of it is liquid while it warms, °C. */
export function meltsToC({ solidusC, liquidusC, hysteresisK }: Melting, liquid: number): number {
  return solidusC + hysteresisK + liquid * (liquidusC - solidusC);
}

/** Share that is liquid at a temperature, given what it was: it only moves when a curve is met (a play operator). */
export function liquidFraction(melting: Melting, tempC: number, before: number): number {
  return Math.max(meltingFraction(melting, tempC), Math.min(settingFraction(melting, tempC), before));
}
