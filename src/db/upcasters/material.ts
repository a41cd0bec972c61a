import { isObject, type Json, withDefaults } from './fields';

const COMMON: Json = { inci: null, origins: null, lowStock: null, archived: false, note: '' };
const DOSED: Json = { usualLeastOfBase: null, usualMostOfBase: null, readings: [] };

/** What each kind of material has learned to tell since it was first kept: not known of any so far. */
const OF_KIND: Record<string, Json> = {
  base: {
    contains: '',
    suspension: null,
    sweat: 'unknown',
    setSpeed: 'unknown',
    bearsFreezer: null,
    standsHeat: null,
    meltsC: null,
    thickensC: null,
    ceilingC: null,
    hardensH: null,
    oilsCapOfBase: null,
    liquidsCapOfBase: null,
    sweatsAbove: null,
    setsC: null,
    setsOverK: null,
    latentJG: null,
    heatCapacityJGK: null,
    conductivityWMK: null,
  },
  fragrance: { ...DOSED, fragranceKind: 'fragrance-oil', vanillinOfMaterial: null, allergens: null },
  colorant: { ...DOSED, bleeds: null, colour: null, match: null, bulkDensityGPerMl: null },
  additive: { ...DOSED, grainMm: null, bulkDensityGPerMl: null },
  dispersant: { ...DOSED, leaves: false },
};

/** A material from before shapes were counted: as complete as the migrations made those of the shelf. */
export function completeMaterial(record: unknown): unknown {
  if (!isObject(record)) return record;
  return withDefaults(record, { ...COMMON, ...OF_KIND[String(record.kind)] });
}
