import type { Additive } from './additive';
import type { Base } from './base';
import type { Colorant } from './colorant';
import type { Dispersant } from './dispersant';
import type { Fragrance } from './fragrance';

// Materials of which nothing is known but their name and what they are: usual figures stand in, unknown limits stay
// unknown.

/** What every record of the shelf has, where nothing is known. */
export const NOTHING_KNOWN = {
  note: '',
  inci: null,
  inciShares: null,
  origins: null,
  lowStock: null,
  archived: false,
};

const DOSED = {
  ...NOTHING_KNOWN,
  densityGPerMl: null,
  skin: 'unknown' as const,
  maxOfProduct: null,
  maxByUse: null,
  usualLeastOfBase: null,
  usualMostOfBase: null,
  readings: [],
};

export function unknownBase(name: string, look: Base['look']): Omit<Base, 'id'> {
  return {
    ...NOTHING_KNOWN,
    name,
    kind: 'base',
    baseKind: 'soap',
    look,
    contains: '',
    suspension: null,
    sweat: 'unknown',
    setSpeed: 'unknown',
    bearsFreezer: null,
    standsHeat: null,
    meltsC: null,
    thickensC: null,
    ceilingC: null,
    sweatsAbove: null,
    setsC: null,
    setsOverK: null,
    latentJG: null,
    heatCapacityJGK: null,
    conductivityWMK: null,
    hardensH: null,
    densityGPerMl: null,
    fragranceCapOfBase: null,
    oilsCapOfBase: null,
    liquidsCapOfBase: null,
    additionsCapOfBase: null,
    gritCounts: null,
  };
}

export function unknownFragrance(
  name: string,
  fragranceKind: Fragrance['fragranceKind'],
): Omit<Fragrance, 'id'> {
  return { ...DOSED, name, kind: 'fragrance', fragranceKind, vanillinOfMaterial: null, allergens: null };
}

export function unknownColorant(name: string, form: Colorant['form']): Omit<Colorant, 'id'> {
  return {
    ...DOSED,
    name,
    kind: 'colorant',
    form,
    bleeds: null,
    bulkDensityGPerMl: null,
    colour: null,
    match: null,
  };
}

export function unknownAdditive(name: string, role: Additive['role']): Omit<Additive, 'id'> {
  return { ...DOSED, name, kind: 'additive', role, grainMm: null, bulkDensityGPerMl: null };
}

export function unknownDispersant(name: string, leaves: boolean): Omit<Dispersant, 'id'> {
  return { ...DOSED, name, kind: 'dispersant', leaves };
}
