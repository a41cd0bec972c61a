import type { Additive } from '../src/core/materials/additive';
import type { Base } from '../src/core/materials/base';
import type { Blend } from '../src/core/materials/blend';
import type { Colorant } from '../src/core/materials/colorant';
import type { Dispersant } from '../src/core/materials/dispersant';
import type { Fragrance } from '../src/core/materials/fragrance';
import type { Material } from '../src/core/materials/material';
import type { Packaging } from '../src/core/materials/packaging';
import type { Scrap } from '../src/core/materials/scrap';
import {
  NOTHING_KNOWN,
  unknownAdditive,
  unknownBase,
  unknownColorant,
  unknownDispersant,
  unknownFragrance,
} from '../src/core/materials/unknownMaterial';

// Every name and figure here is invented.

const common = { note: '', lowStock: null, archived: false };
const released = { origins: [], skin: 'released' as const };

const base = (id: string, name: string, facts: Partial<Base>): Base => ({
  ...unknownBase(name, 'clear'),
  id,
  inci: ['Glycerin', 'Aqua', 'Sodium Stearate', 'Propylene Glycol', 'Sorbitol', 'Sodium Laurate'],
  origins: [],
  suspension: false,
  sweat: 'standard',
  setSpeed: 'normal',
  bearsFreezer: false,
  standsHeat: false,
  meltsC: 56,
  thickensC: 51,
  ceilingC: 71,
  hardensH: 0,
  fragranceCapOfBase: 0.03,
  ...facts,
});
const fragrance = (id: string, name: string, facts: Partial<Fragrance>): Fragrance => ({
  ...unknownFragrance(name, 'fragrance-oil'),
  ...released,
  id,
  vanillinOfMaterial: 0,
  allergens: [],
  ...facts,
});
const colorant = (id: string, name: string, facts: Partial<Colorant>): Colorant => ({
  ...unknownColorant(name, 'mica'),
  ...released,
  id,
  ...facts,
});
const additive = (id: string, name: string, facts: Partial<Additive>): Additive => ({
  ...unknownAdditive(name, 'active'),
  ...released,
  id,
  ...facts,
});
const dispersant = (id: string, name: string, facts: Partial<Dispersant>): Dispersant => ({
  ...unknownDispersant(name, false),
  ...released,
  id,
  ...facts,
});
const blend = (id: string, name: string, members: [string, number][], note: string): Blend => ({
  ...{ ...NOTHING_KNOWN, ...common },
  id,
  kind: 'blend',
  name,
  note,
  origins: [],
  members: members.map(([materialId, parts]) => ({ materialId, parts })),
  readings: [],
});
const scrap = (id: string, name: string, colour: string, note: string): Scrap => ({
  ...{ ...NOTHING_KNOWN, ...common },
  id,
  kind: 'scrap',
  name,
  note,
  origins: [],
  holds: null,
  melts: 1,
  densityGPerMl: 1.05,
  colour,
});
const packaging = (id: string, name: string, lowStock: number): Packaging => ({
  ...common,
  id,
  kind: 'packaging',
  name,
  lowStock,
});

export const MATERIALS: readonly Material[] = [
  base('glaze', 'Glaze', {
    densityGPerMl: 1.06,
    lowStock: 2000,
    note: 'Clear, our everyday base. 11.5 kg block.',
  }),
  base('chalk', 'Chalk', { look: 'white', densityGPerMl: 1.04, lowStock: 2000 }),
  base('drystone', 'Drystone', {
    densityGPerMl: 1.05,
    sweat: 'low',
    bearsFreezer: true,
    standsHeat: true,
    note: 'Low sweat: may lie open for a few weeks.',
  }),
  base('hold', 'Hold', {
    densityGPerMl: 1.07,
    suspension: true,
    note: 'Suspension clear: grit stays where it is stirred.',
  }),
  base('cream-lane', 'Cream Lane', {
    look: 'ivory',
    contains: 'goat milk, shea',
    origins: ['milk'],
    suspension: null,
    note: 'Milk base. Density not measured yet.',
  }),
  base('softwater', 'Softwater', {
    baseKind: 'syndet',
    look: 'white',
    inci: ['Sodium Cocoyl Isethionate', 'Glycerin', 'Aqua', 'Stearic Acid', 'Cetearyl Alcohol'],
    inciShares: [{ name: 'Sodium Cocoyl Isethionate', ofMaterial: 0.42 }],
    meltsC: 52,
    thickensC: 46,
    hardensH: 36,
    densityGPerMl: 1.03,
    fragranceCapOfBase: 0.02,
    oilsCapOfBase: 0.01,
    additionsCapOfBase: 0.03,
    ceilingC: 68,
    note: 'Syndet: must not be called soap on a label.',
  }),

  fragrance('bay-rope', 'Bay & Rope', {
    densityGPerMl: 0.94,
    maxOfProduct: 0.028,
    usualLeastOfBase: 0.008,
    lowStock: 60,
    allergens: [
      { name: 'Linalool', ofMaterial: 0.11 },
      { name: 'Eugenol', ofMaterial: 0.04 },
    ],
  }),
  fragrance('lime-peel', 'Lime Peel oil', {
    fragranceKind: 'essential-oil',
    densityGPerMl: 0.86,
    maxOfProduct: 0.02,
    lowStock: 40,
    allergens: [
      { name: 'Limonene', ofMaterial: 0.46 },
      { name: 'Citral', ofMaterial: 0.05 },
    ],
  }),
  fragrance('harbour-mist', 'Harbour Mist', { densityGPerMl: 0.97, maxOfProduct: 0.031 }),
  fragrance('bellmetal-rose', 'Bellmetal Rose', {
    densityGPerMl: 0.99,
    vanillinOfMaterial: null,
    allergens: null,
  }),
  fragrance('custard-tart', 'Custard Tart', {
    densityGPerMl: 1.02,
    maxOfProduct: 0.04,
    vanillinOfMaterial: 0.06,
    note: 'Browns without stabiliser.',
  }),
  fragrance('lamp-amber', 'Lamp Amber', {
    densityGPerMl: 0.96,
    skin: 'candle-only',
    note: 'Candles only. Kept on the top shelf.',
  }),
  blend(
    'quayside',
    'Quayside blend',
    [
      ['bay-rope', 2],
      ['lime-peel', 1],
    ],
    'Two parts bay, one part lime.',
  ),

  colorant('slate-mica', 'Slate mica', {
    densityGPerMl: 2.9,
    bulkDensityGPerMl: 0.3,
    colour: '#6a7480',
  }),
  colorant('quay-blue', 'Quay Blue liquid', {
    form: 'dye',
    densityGPerMl: 1.05,
    colour: '#2f6fa8',
    match: { on: '2026-05-12', colour: '#8fb4cf', ofBase: 0.001, look: 'white', thicknessMm: 22 },
    readings: [
      { of: 'drops', on: '2026-02-11', count: 20, massG: 0.89 },
      { of: 'drops', on: '2026-06-03', count: 20, massG: 0.94 },
    ],
  }),
  colorant('brick-block', 'Brick colour block', {
    form: 'block',
    densityGPerMl: 1.06,
    colour: '#b0503a',
    usualMostOfBase: 0.05,
    readings: [{ of: 'blocks', on: '2026-04-20', count: 2, massG: 55.4 }],
  }),

  additive('olive-grit', 'Olive-stone grit, fine', {
    role: 'grit',
    grainMm: 0.4,
    densityGPerMl: 1.35,
    bulkDensityGPerMl: 0.62,
  }),
  additive('walnut-grit', 'Walnut-shell grit', {
    role: 'grit',
    origins: ['nut'],
    densityGPerMl: 1.3,
    bulkDensityGPerMl: 0.6,
    note: 'Grain size not on the pack.',
  }),
  additive('oat-protein', 'Oat protein', { densityGPerMl: 1.09, maxOfProduct: 0.02, origins: ['cereal'] }),
  additive('panthenol', 'Panthenol 75 %', { densityGPerMl: 1.15, maxOfProduct: 0.05 }),
  additive('nettle-extract', 'Nettle extract', { role: 'liquid', origins: null }),
  additive('heather-honey', 'Heather honey', { role: 'humectant', densityGPerMl: 1.42, origins: ['bee'] }),
  additive('hemp-oil', 'Hemp-seed oil', { role: 'oil', densityGPerMl: 0.925 }),
  additive('marigold', 'Marigold petals', { role: 'botanical', bulkDensityGPerMl: 0.08 }),
  additive('still-pale', 'Still Pale stabiliser', { role: 'stabiliser', densityGPerMl: 1.04 }),

  dispersant('alcohol', 'Alcohol 99 %', {
    leaves: true,
    densityGPerMl: 0.785,
    note: 'Flammable: no flame, air the room.',
  }),
  dispersant('glycerin', 'Glycerin', { densityGPerMl: 1.26 }),

  scrap('moss-offcuts', 'Moss offcuts', '#6d8a4f', 'Ends of green loaves, kept in a closed jar.'),
  scrap('flint-offcuts', 'Flint offcuts', '#7d8085', 'Grey ends and leftover melt.'),

  packaging('wrap-band', 'Wrap with band', 40),
];
