import {
  choiceField,
  type FieldText,
  figureField,
  listField,
  nameField,
  textField,
  unknownField,
  yesNoField,
} from '../records/fieldText';
import type { RecordField } from '../records/recordText';
import { colourField, matchText } from './colourText';
import { allergensText, membersText, readingsText } from './listTexts';
import { MATERIAL_KINDS, type MaterialKind } from './material';
import {
  BASE_KIND_NAMES,
  FORM_NAMES,
  FRAGRANCE_KIND_NAMES,
  LOOK_NAMES,
  ORIGIN_NAMES,
  ROLE_NAMES,
  SKIN_NAMES,
  SPEED_NAMES,
  SWEAT_NAMES,
} from './names';

/** Where a field stands in a form. */
export const FIELD_GROUPS = ['what', 'limits', 'measures', 'setting', 'heat', 'label', 'stock'] as const;
export type FieldGroup = (typeof FIELD_GROUPS)[number];

/** One field of the shelf's records: its place in the record, and how it is written and read as text. */
export interface MaterialField extends RecordField {
  hint?: string;
  group: FieldGroup;
  kinds: readonly MaterialKind[];
  /** Codes with their names, where one is chosen. */
  names?: Record<string, string>;
  decimal?: true;
}

const ALL = MATERIAL_KINDS;
const DOSED: readonly MaterialKind[] = ['fragrance', 'colorant', 'additive', 'dispersant'];
const IN_SOAP: readonly MaterialKind[] = ['base', ...DOSED];
const BASE: readonly MaterialKind[] = ['base'];
const PIECE: readonly MaterialKind[] = ['piece'];

const percent = (least = 0) => unknownField(figureField({ unit: '%', least, most: 100 }, 0.01));
const figure = (unit: string, least: number, most: number) =>
  unknownField(figureField({ unit, least, most }));

type Place = Pick<MaterialField, 'key' | 'label' | 'group' | 'kinds'> & Partial<MaterialField>;

const figureOf = (place: Place, text: FieldText<number | null>): MaterialField => ({
  first: '',
  decimal: true,
  ...place,
  text,
});
const percentOf = (place: Place): MaterialField => figureOf(place, percent());
const choiceOf = (place: Place, names: Record<string, string>, first: string): MaterialField => ({
  ...place,
  names,
  first,
  text: choiceField(names),
});
const yesNoOf = (place: Place): MaterialField => ({
  ...place,
  names: { '': 'Not known', yes: 'Yes', no: 'No' },
  first: '',
  text: unknownField(yesNoField),
});

/** All fields of all kinds, in the order of a form and of the columns of a file. */
export const MATERIAL_FIELDS: readonly MaterialField[] = [
  { key: 'name', label: 'Name', group: 'what', kinds: ALL, text: nameField(80), first: '' },
  choiceOf({ key: 'baseKind', label: 'What it is', group: 'what', kinds: BASE }, BASE_KIND_NAMES, 'soap'),
  choiceOf({ key: 'look', label: 'Look', group: 'what', kinds: BASE }, LOOK_NAMES, 'clear'),
  choiceOf(
    { key: 'fragranceKind', label: 'Oil', group: 'what', kinds: ['fragrance'] },
    FRAGRANCE_KIND_NAMES,
    'fragrance-oil',
  ),
  choiceOf({ key: 'form', label: 'Form', group: 'what', kinds: ['colorant'] }, FORM_NAMES, 'mica'),
  choiceOf({ key: 'role', label: 'What it does', group: 'what', kinds: ['additive'] }, ROLE_NAMES, 'active'),
  {
    ...choiceOf(
      { key: 'leaves', label: 'In the hot base', group: 'what', kinds: ['dispersant'] },
      { yes: 'Leaves again, as alcohol does', no: 'Stays, as glycerin does' },
      'no',
    ),
    text: yesNoField,
  },
  {
    key: 'members',
    label: 'Parts by weight',
    hint: '2x Lime oil; 1x Bay oil',
    group: 'what',
    kinds: ['blend'],
    text: membersText,
    first: '',
  },
  {
    key: 'contains',
    label: 'Worked into it',
    hint: 'Such as shea or goat milk',
    group: 'what',
    kinds: BASE,
    text: textField(200),
    first: '',
  },

  choiceOf({ key: 'skin', label: 'On skin', group: 'limits', kinds: DOSED }, SKIN_NAMES, 'unknown'),
  percentOf({
    key: 'maxOfProduct',
    label: 'Supplier’s limit',
    unit: '% of product',
    hint: 'Empty: not known',
    group: 'limits',
    kinds: DOSED,
  }),
  percentOf({
    key: 'usualLeastOfBase',
    label: 'Works from',
    unit: '% of base',
    group: 'limits',
    kinds: DOSED,
  }),
  percentOf({
    key: 'usualMostOfBase',
    label: 'Overdone above',
    unit: '% of base',
    group: 'limits',
    kinds: DOSED,
  }),
  percentOf({
    key: 'fragranceCapOfBase',
    label: 'Fragrance cap',
    unit: '% of base',
    hint: 'Empty: 3 % for soap, 2 % for syndet, as is usual',
    group: 'limits',
    kinds: BASE,
  }),
  percentOf({
    key: 'oilsCapOfBase',
    label: 'Cap of oils and butters',
    unit: '% of base',
    hint: 'Empty: 6 % for soap, 1 % for syndet',
    group: 'limits',
    kinds: BASE,
  }),
  percentOf({
    key: 'liquidsCapOfBase',
    label: 'Cap of liquids',
    unit: '% of base',
    hint: 'Empty: 3 %',
    group: 'limits',
    kinds: BASE,
  }),
  percentOf({
    key: 'additionsCapOfBase',
    label: 'Cap of all additions',
    unit: '% of base',
    hint: 'Empty: 10 % for soap, 3 % for syndet',
    group: 'limits',
    kinds: BASE,
  }),
  percentOf({
    key: 'vanillinOfMaterial',
    label: 'Vanillin in it',
    unit: '%',
    hint: '0: none. Empty: not known',
    group: 'limits',
    kinds: ['fragrance'],
  }),
  yesNoOf({ key: 'bleeds', label: 'Bleeds into its neighbour', group: 'limits', kinds: ['colorant'] }),
  figureOf(
    { key: 'grainMm', label: 'Largest grain', unit: 'mm', group: 'limits', kinds: ['additive'] },
    figure('mm', 0.001, 20),
  ),

  figureOf(
    {
      key: 'densityGPerMl',
      label: 'Density',
      unit: 'g/mL',
      hint: 'Empty: not measured, a usual figure stands in',
      group: 'measures',
      kinds: [...IN_SOAP, 'scrap'],
    },
    figure('g/mL', 0.05, 5),
  ),
  figureOf(
    {
      key: 'bulkDensityGPerMl',
      label: 'Density in the spoon',
      unit: 'g/mL',
      hint: 'Of a powder, loose and levelled',
      group: 'measures',
      kinds: ['colorant', 'additive'],
    },
    figure('g/mL', 0.05, 5),
  ),
  figureOf(
    { key: 'pieceG', label: 'One weighs', unit: 'g', group: 'measures', kinds: PIECE },
    figure('g', 0.01, 10_000),
  ),
  figureOf(
    {
      key: 'pieceMl',
      label: 'One takes up',
      unit: 'mL',
      hint: 'What the water rises by when it is held under',
      group: 'measures',
      kinds: PIECE,
    },
    figure('mL', 0.01, 10_000),
  ),
  figureOf(
    { key: 'heightMm', label: 'Height', unit: 'mm', group: 'measures', kinds: PIECE },
    figure('mm', 0.1, 500),
  ),
  {
    key: 'colour',
    label: 'Colour',
    hint: 'As it looks in a white base at a usual dose: #2f5d8a. Empty: not known',
    group: 'what',
    kinds: ['colorant', 'scrap'],
    text: unknownField(colourField),
    first: '',
  },
  {
    key: 'match',
    label: 'Matched sample',
    group: 'measures',
    kinds: ['colorant'],
    text: unknownField(matchText),
    first: '',
  },
  {
    key: 'readings',
    label: 'Readings',
    group: 'measures',
    kinds: [...DOSED, 'blend'],
    text: readingsText,
    first: 'none',
  },

  yesNoOf({ key: 'gritCounts', label: 'Grit counts to the cap of additions', group: 'limits', kinds: BASE }),
  yesNoOf({ key: 'suspension', label: 'Holds grit where it is', group: 'setting', kinds: BASE }),
  choiceOf({ key: 'sweat', label: 'Sweat', group: 'setting', kinds: BASE }, SWEAT_NAMES, 'unknown'),
  choiceOf({ key: 'setSpeed', label: 'Sets', group: 'setting', kinds: BASE }, SPEED_NAMES, 'unknown'),
  yesNoOf({ key: 'bearsFreezer', label: 'Bears minutes in the freezer', group: 'setting', kinds: BASE }),
  yesNoOf({ key: 'standsHeat', label: 'Keeps its shape in hot soap', group: 'setting', kinds: BASE }),
  figureOf(
    { key: 'meltsC', label: 'Melts at', unit: '°C', group: 'setting', kinds: BASE },
    figure('°C', 20, 120),
  ),
  figureOf(
    { key: 'thickensC', label: 'Thickens at', unit: '°C', group: 'setting', kinds: BASE },
    figure('°C', 20, 120),
  ),
  figureOf(
    {
      key: 'ceilingC',
      label: 'Never hotter than',
      unit: '°C',
      hint: 'Empty: 71 °C',
      group: 'setting',
      kinds: BASE,
    },
    figure('°C', 20, 120),
  ),
  figureOf(
    {
      key: 'sweatsAbove',
      label: 'Sweats above a humidity of',
      unit: '%',
      hint: 'Empty: by its sweat grade',
      group: 'setting',
      kinds: BASE,
    },
    percent(100),
  ),
  figureOf(
    { key: 'hardensH', label: 'Fully hard after', unit: 'h', group: 'setting', kinds: BASE },
    figure('h', 0, 1000),
  ),

  figureOf(
    {
      key: 'setsC',
      label: 'Begins to set at',
      unit: '°C',
      hint: 'Cooling. Empty: 4 K below where it melts',
      group: 'heat',
      kinds: BASE,
    },
    figure('°C', 20, 120),
  ),
  figureOf(
    {
      key: 'setsOverK',
      label: 'Sets over',
      unit: 'K',
      hint: 'All of it is set so far below. Empty: 11, syndet 12',
      group: 'heat',
      kinds: BASE,
    },
    figure('K', 3, 30),
  ),
  figureOf(
    {
      key: 'latentJG',
      label: 'Heat given off in setting',
      unit: 'J/g',
      hint: 'Empty: 40, syndet 30',
      group: 'heat',
      kinds: BASE,
    },
    figure('J/g', 5, 200),
  ),
  figureOf(
    {
      key: 'heatCapacityJGK',
      label: 'Specific heat',
      unit: 'J/g·K',
      hint: 'Empty: 2.65',
      group: 'heat',
      kinds: BASE,
    },
    figure('J/g·K', 1, 5),
  ),
  figureOf(
    {
      key: 'conductivityWMK',
      label: 'Conductivity',
      unit: 'W/m·K',
      hint: 'Empty: 0.30',
      group: 'heat',
      kinds: BASE,
    },
    figure('W/m·K', 0.05, 1),
  ),

  {
    key: 'inci',
    label: 'Ingredients, in the order of the pack',
    hint: 'Parted by commas. Empty: not known',
    group: 'label',
    kinds: ALL.filter((kind) => kind !== 'packaging'),
    text: unknownField(listField(nameField(120), { commas: true })),
    first: '',
  },
  {
    key: 'allergens',
    label: 'Allergens',
    hint: 'Linalool 12 %; Limonene 3 %. “none”: there are none. Empty: not known',
    group: 'label',
    kinds: ['fragrance'],
    text: unknownField(allergensText),
    first: '',
  },
  {
    key: 'origins',
    label: 'Comes from',
    hint: `${Object.keys(ORIGIN_NAMES).join('; ')}. “none”: none of these. Empty: not known`,
    group: 'label',
    kinds: ALL.filter((kind) => kind !== 'packaging'),
    text: unknownField(listField(choiceField(ORIGIN_NAMES))),
    first: '',
  },

  figureOf(
    {
      key: 'lowStock',
      label: 'Buy more below',
      unit: 'g',
      hint: 'Pieces, of what is counted. Empty: never said',
      group: 'stock',
      kinds: ALL,
    },
    figure('g', 0, 1e6),
  ),
  {
    ...choiceOf(
      { key: 'archived', label: 'Put away', group: 'stock', kinds: ALL },
      { no: 'On the shelf', yes: 'Put away, not offered any more' },
      'no',
    ),
    text: yesNoField,
  },
  { key: 'note', label: 'Note', group: 'stock', kinds: ALL, text: textField(2000), first: '' },
];

export function fieldsOf(kind: MaterialKind): MaterialField[] {
  return MATERIAL_FIELDS.filter(({ kinds }) => kinds.includes(kind));
}
