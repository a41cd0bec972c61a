import type { Melting, Substance } from './substance';

/**
 * How readily a body gives off heat at a temperature: √(k ρ c), W s½/m²K, with the heat of melting within its range, where
 * it takes part in every kelvin. H. S. Carslaw and J. C. Jaeger, Conduction of Heat in Solids, 1959, § 2.8.
 */
export function effusivity(
  { conductivityWMK, densityKgM3, heatCapacityJKgK, melting }: Substance,
  tempC: number,
): number {
  const heat = heatCapacityJKgK + (melting && isMelting(melting, tempC) ? latentPerK(melting) : 0);
  return Math.sqrt(conductivityWMK * densityKgM3 * heat);
}

function isMelting({ solidusC, liquidusC }: Melting, tempC: number): boolean {
  return tempC > solidusC && tempC < liquidusC;
}

function latentPerK({ latentJKg, solidusC, liquidusC }: Melting): number {
  return latentJKg / (liquidusC - solidusC);
}

/** Temperature where two bodies touch, °C, from then on for as long as both are thick. */
export function contactC(one: Substance, oneC: number, other: Substance, otherC: number): number {
  const [a, b] = [effusivity(one, oneC), effusivity(other, otherC)];
  return (a * oneC + b * otherC) / (a + b);
}
