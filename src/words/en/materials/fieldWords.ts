import type { FieldWords } from '../records/fieldWords';
import { ORIGIN_NAMES } from './names';

/** What the fields of the shelf's records are called. */
export const MATERIAL_FIELD_WORDS = {
  name: { label: 'Name' },
  baseKind: { label: 'What it is' },
  look: { label: 'Look' },
  fragranceKind: { label: 'Oil' },
  form: { label: 'Form' },
  role: { label: 'What it does' },
  leaves: { label: 'In the hot base' },
  members: { label: 'Parts by weight', hint: '2x Lime oil; 1x Bay oil' },
  contains: { label: 'Worked into it', hint: 'Such as shea or goat milk' },
  skin: { label: 'On skin' },
  maxOfProduct: { label: 'Supplier’s limit', hint: 'Empty: not known', unit: '% of product' },
  maxByUse: { label: 'Its limit by use', hint: 'face 1 %; hair 2 %: the plain limit stands for the rest' },
  usualLeastOfBase: { label: 'Works from', unit: '% of base' },
  usualMostOfBase: { label: 'Overdone above', unit: '% of base' },
  fragranceCapOfBase: {
    label: 'Fragrance cap',
    hint: 'Empty: 3 % for soap, 2 % for syndet, as is usual',
    unit: '% of base',
  },
  oilsCapOfBase: {
    label: 'Cap of oils and butters',
    hint: 'Empty: 6 % for soap, 1 % for syndet',
    unit: '% of base',
  },
  liquidsCapOfBase: { label: 'Cap of liquids', hint: 'Empty: 3 %', unit: '% of base' },
  additionsCapOfBase: {
    label: 'Cap of all additions',
    hint: 'Empty: 10 % for soap, 3 % for syndet',
    unit: '% of base',
  },
  vanillinOfMaterial: { label: 'Vanillin in it', hint: '0: none. Empty: not known' },
  bleeds: { label: 'Bleeds into its neighbour' },
  grainMm: { label: 'Largest grain' },
  densityGPerMl: { label: 'Density', hint: 'Empty: not measured, a usual figure stands in' },
  bulkDensityGPerMl: { label: 'Density in the spoon', hint: 'Of a powder, loose and levelled' },
  pieceG: { label: 'One weighs' },
  pieceMl: { label: 'One takes up', hint: 'What the water rises by when it is held under' },
  heightMm: { label: 'Height' },
  colour: { label: 'Colour', hint: 'As it looks in a white base at a usual dose: #2f5d8a. Empty: not known' },
  match: { label: 'Matched sample' },
  readings: { label: 'Readings' },
  gritCounts: { label: 'Grit counts to the cap of additions' },
  suspension: { label: 'Holds grit where it is' },
  sweat: { label: 'Sweat' },
  setSpeed: { label: 'Sets' },
  bearsFreezer: { label: 'Bears minutes in the freezer' },
  standsHeat: { label: 'Keeps its shape in hot soap' },
  meltsC: { label: 'Melts at' },
  thickensC: { label: 'Thickens at' },
  ceilingC: { label: 'Never hotter than', hint: 'Empty: 71 °C' },
  sweatsAbove: { label: 'Sweats above a humidity of', hint: 'Empty: by its sweat grade' },
  hardensH: { label: 'Fully hard after' },
  setsC: { label: 'Begins to set at', hint: 'Cooling. Empty: 4 K below where it melts' },
  setsOverK: { label: 'Sets over', hint: 'All of it is set so far below. Empty: 11, syndet 12' },
  latentJG: { label: 'Heat given off in setting', hint: 'Empty: 40, syndet 30' },
  heatCapacityJGK: { label: 'Specific heat', hint: 'Empty: 2.65' },
  conductivityWMK: { label: 'Conductivity', hint: 'Empty: 0.30' },
  inci: { label: 'Ingredients, in the order of the pack', hint: 'Parted by commas. Empty: not known' },
  inciShares: {
    label: 'Shares that are known of them',
    hint: 'From the pack or its data sheet: Glycerin 20 %; Aqua 12 %. Empty: not known',
  },
  allergens: {
    label: 'Allergens',
    hint: 'Linalool 12 %; Limonene 3 %. “none”: there are none. Empty: not known',
  },
  origins: {
    label: 'Comes from',
    hint: `${Object.keys(ORIGIN_NAMES).join('; ')}. “none”: none of these. Empty: not known`,
  },
  lowStock: { label: 'Buy more below', hint: 'Pieces, of what is counted. Empty: never said' },
  archived: { label: 'Archived' },
  note: { label: 'Note' },
} satisfies Record<string, FieldWords>;

/** What a dispersant does in the hot base. */
export const LEAVES_NAMES = { yes: 'Leaves again, as alcohol does', no: 'Stays, as glycerin does' };

export const ARCHIVED_NAMES = { no: 'On the shelf', yes: 'Archived, not offered any more' };

/** Yes, no, or nobody has told us. */
export const YES_NO_NAMES = { '': 'Not known', yes: 'Yes', no: 'No' };
