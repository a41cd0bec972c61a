import type { Base, HeatOfBase } from '../materials/base';
import { baseDensity } from '../materials/defaults';
import { type Melting, type MeltingSubstance, SOAP, SYNDET } from './substance';

/** A base that sets fast does so some kelvins sooner. Our own guess. */
const FAST_K = 2;
/** It begins to thicken so far above where it can no longer be poured: common practice, no source, 51 and 47 °C. */
const THICKENS_BEFORE_K = 4;
const TOO_THICK_C = { soap: 47, 'detergent-free': 47, syndet: 44 } as const;

/** What heat meets in a base: its own figures from the shelf, and typical ones for the rest. */
export function substanceOf(base: HeatOfBase): MeltingSubstance {
  const typical = base.baseKind === 'syndet' ? SYNDET : SOAP;
  const { melting } = typical;
  const liquidusC = base.setsC ?? beginsToSetC(base, melting);
  return {
    densityKgM3: baseDensity(base).assumed ? typical.densityKgM3 : baseDensity(base).value * 1000,
    heatCapacityJKgK: kilo(base.heatCapacityJGK) ?? typical.heatCapacityJKgK,
    conductivityWMK: base.conductivityWMK ?? typical.conductivityWMK,
    melting: {
      latentJKg: kilo(base.latentJG) ?? melting.latentJKg,
      solidusC: liquidusC - (base.setsOverK ?? melting.liquidusC - melting.solidusC),
      liquidusC,
      hysteresisK: melting.hysteresisK,
      liquidConductivityWMK:
        (melting.liquidConductivityWMK * (base.conductivityWMK ?? typical.conductivityWMK)) /
        typical.conductivityWMK,
    },
  };
}

/** Where nobody has seen it set: so far below where it melts, as soap does. */
function beginsToSetC({ meltsC, setSpeed }: HeatOfBase, { liquidusC, hysteresisK }: Melting): number {
  return (meltsC === null ? liquidusC : meltsC - hysteresisK) + (setSpeed === 'fast' ? FAST_K : 0);
}

/** A data sheet tells by the gram. */
function kilo(perG: number | null): number | null {
  return perG === null ? null : perG * 1000;
}

/** Below this a jug is too thick to pour, °C. */
export function tooThickC({ thickensC, baseKind, setSpeed }: Base): number {
  if (thickensC !== null) return thickensC - THICKENS_BEFORE_K;
  return TOO_THICK_C[baseKind] + (setSpeed === 'fast' ? FAST_K : 0);
}

/** Above this humidity of the room a bar draws water. Guesses: what a low-sweat grade withstands is not published. */
const WATER_ACTIVITY = { standard: 0.58, low: 0.72, none: 0.85, unknown: 0.58 } as const;

export function waterActivityOf({ sweat, sweatsAbove }: Pick<Base, 'sweat' | 'sweatsAbove'>): number {
  return sweatsAbove ?? WATER_ACTIVITY[sweat];
}
