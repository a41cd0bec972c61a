import { MATERIAL_KINDS, type MaterialKind } from '../../core/materials/material';
import {
  ARCHIVED_NAMES,
  LEAVES_NAMES,
  MATERIAL_FIELD_WORDS,
  YES_NO_NAMES,
} from '../../words/en/materials/fieldWords';
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
} from '../../words/en/materials/names';
import { colourField, matchText } from './colourText';
import {
  choiceField,
  type FieldText,
  figureField,
  listField,
  nameField,
  textField,
  unknownField,
  yesNoField,
} from './fieldText';
import { limitsByUseText, membersText, namedSharesText, readingsText } from './listTexts';
import { type RecordField, worded } from './recordText';

/** Where a field stands in a form. */
export const FIELD_GROUPS = ['what', 'limits', 'measures', 'setting', 'heat', 'label', 'stock'] as const;
export type FieldGroup = (typeof FIELD_GROUPS)[number];

/** One field of the shelf's records: its place in the record, and how it is written and read as text. */
export interface MaterialField extends RecordField {
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

/** A field without its words. */
type Bare = Omit<MaterialField, 'key' | 'label' | 'hint'> & { key: keyof typeof MATERIAL_FIELD_WORDS };
type Place = Pick<Bare, 'key' | 'group' | 'kinds'> & Partial<Bare>;

const figureOf = (place: Place, text: FieldText<number | null>): Bare => ({
  first: '',
  decimal: true,
  ...place,
  text,
});
const percentOf = (place: Place): Bare => figureOf(place, percent());
const choiceOf = (place: Place, names: Record<string, string>, first: string): Bare => ({
  ...place,
  names,
  first,
  text: choiceField(names),
});
const yesNoOf = (place: Place): Bare => ({
  ...place,
  names: YES_NO_NAMES,
  first: '',
  text: unknownField(yesNoField),
});

const FIELDS: readonly Bare[] = [
  { key: 'name', group: 'what', kinds: ALL, text: nameField(80), first: '' },
  choiceOf({ key: 'baseKind', group: 'what', kinds: BASE }, BASE_KIND_NAMES, 'soap'),
  choiceOf({ key: 'look', group: 'what', kinds: BASE }, LOOK_NAMES, 'clear'),
  choiceOf(
    { key: 'fragranceKind', group: 'what', kinds: ['fragrance'] },
    FRAGRANCE_KIND_NAMES,
    'fragrance-oil',
  ),
  choiceOf({ key: 'form', group: 'what', kinds: ['colorant'] }, FORM_NAMES, 'mica'),
  choiceOf({ key: 'role', group: 'what', kinds: ['additive'] }, ROLE_NAMES, 'active'),
  {
    ...choiceOf({ key: 'leaves', group: 'what', kinds: ['dispersant'] }, LEAVES_NAMES, 'no'),
    text: yesNoField,
  },
  {
    key: 'members',
    group: 'what',
    kinds: ['blend'],
    text: membersText,
    first: '',
  },
  {
    key: 'contains',
    group: 'what',
    kinds: BASE,
    text: textField(200),
    first: '',
  },

  choiceOf({ key: 'skin', group: 'limits', kinds: DOSED }, SKIN_NAMES, 'unknown'),
  percentOf({
    key: 'maxOfProduct',
    group: 'limits',
    kinds: DOSED,
  }),
  {
    key: 'maxByUse',
    group: 'limits',
    kinds: DOSED,
    text: unknownField(limitsByUseText),
    first: '',
  },
  percentOf({
    key: 'usualLeastOfBase',
    group: 'limits',
    kinds: DOSED,
  }),
  percentOf({
    key: 'usualMostOfBase',
    group: 'limits',
    kinds: DOSED,
  }),
  percentOf({
    key: 'fragranceCapOfBase',
    group: 'limits',
    kinds: BASE,
  }),
  percentOf({
    key: 'oilsCapOfBase',
    group: 'limits',
    kinds: BASE,
  }),
  percentOf({
    key: 'liquidsCapOfBase',
    group: 'limits',
    kinds: BASE,
  }),
  percentOf({
    key: 'additionsCapOfBase',
    group: 'limits',
    kinds: BASE,
  }),
  percentOf({
    key: 'vanillinOfMaterial',
    unit: '%',
    group: 'limits',
    kinds: ['fragrance'],
  }),
  yesNoOf({ key: 'bleeds', group: 'limits', kinds: ['colorant'] }),
  figureOf({ key: 'grainMm', unit: 'mm', group: 'limits', kinds: ['additive'] }, figure('mm', 0.001, 20)),

  figureOf(
    {
      key: 'densityGPerMl',
      unit: 'g/mL',
      group: 'measures',
      kinds: [...IN_SOAP, 'scrap'],
    },
    figure('g/mL', 0.05, 5),
  ),
  figureOf(
    {
      key: 'bulkDensityGPerMl',
      unit: 'g/mL',
      group: 'measures',
      kinds: ['colorant', 'additive'],
    },
    figure('g/mL', 0.05, 5),
  ),
  figureOf({ key: 'pieceG', unit: 'g', group: 'measures', kinds: PIECE }, figure('g', 0.01, 10_000)),
  figureOf(
    {
      key: 'pieceMl',
      unit: 'mL',
      group: 'measures',
      kinds: PIECE,
    },
    figure('mL', 0.01, 10_000),
  ),
  figureOf({ key: 'heightMm', unit: 'mm', group: 'measures', kinds: PIECE }, figure('mm', 0.1, 500)),
  {
    key: 'colour',
    group: 'what',
    kinds: ['colorant', 'scrap'],
    text: unknownField(colourField),
    first: '',
  },
  {
    key: 'match',
    group: 'measures',
    kinds: ['colorant'],
    text: unknownField(matchText),
    first: '',
  },
  {
    key: 'readings',
    group: 'measures',
    kinds: [...DOSED, 'blend'],
    text: readingsText,
    first: 'none',
  },

  yesNoOf({ key: 'gritCounts', group: 'limits', kinds: BASE }),
  yesNoOf({ key: 'suspension', group: 'setting', kinds: BASE }),
  choiceOf({ key: 'sweat', group: 'setting', kinds: BASE }, SWEAT_NAMES, 'unknown'),
  choiceOf({ key: 'setSpeed', group: 'setting', kinds: BASE }, SPEED_NAMES, 'unknown'),
  yesNoOf({ key: 'bearsFreezer', group: 'setting', kinds: BASE }),
  yesNoOf({ key: 'standsHeat', group: 'setting', kinds: BASE }),
  figureOf({ key: 'meltsC', unit: '°C', group: 'setting', kinds: BASE }, figure('°C', 20, 120)),
  figureOf({ key: 'thickensC', unit: '°C', group: 'setting', kinds: BASE }, figure('°C', 20, 120)),
  figureOf(
    {
      key: 'ceilingC',
      unit: '°C',
      group: 'setting',
      kinds: BASE,
    },
    figure('°C', 20, 120),
  ),
  figureOf(
    {
      key: 'sweatsAbove',
      unit: '%',
      group: 'setting',
      kinds: BASE,
    },
    percent(100),
  ),
  figureOf({ key: 'hardensH', unit: 'h', group: 'setting', kinds: BASE }, figure('h', 0, 1000)),

  figureOf(
    {
      key: 'setsC',
      unit: '°C',
      group: 'heat',
      kinds: BASE,
    },
    figure('°C', 20, 120),
  ),
  figureOf(
    {
      key: 'setsOverK',
      unit: 'K',
      group: 'heat',
      kinds: BASE,
    },
    figure('K', 3, 30),
  ),
  figureOf(
    {
      key: 'latentJG',
      unit: 'J/g',
      group: 'heat',
      kinds: BASE,
    },
    figure('J/g', 5, 200),
  ),
  figureOf(
    {
      key: 'heatCapacityJGK',
      unit: 'J/g·K',
      group: 'heat',
      kinds: BASE,
    },
    figure('J/g·K', 1, 5),
  ),
  figureOf(
    {
      key: 'conductivityWMK',
      unit: 'W/m·K',
      group: 'heat',
      kinds: BASE,
    },
    figure('W/m·K', 0.05, 1),
  ),

  {
    key: 'inci',
    group: 'label',
    kinds: ALL.filter((kind) => kind !== 'packaging'),
    text: unknownField(listField(nameField(120), { commas: true })),
    first: '',
  },
  {
    key: 'inciShares',
    group: 'label',
    kinds: ['base', 'colorant', 'additive', 'dispersant', 'piece'],
    text: unknownField(namedSharesText),
    first: '',
  },
  {
    key: 'allergens',
    group: 'label',
    kinds: ['fragrance'],
    text: unknownField(namedSharesText),
    first: '',
  },
  {
    key: 'origins',
    group: 'label',
    kinds: ALL.filter((kind) => kind !== 'packaging'),
    text: unknownField(listField(choiceField(ORIGIN_NAMES))),
    first: '',
  },

  figureOf(
    {
      key: 'lowStock',
      unit: 'g',
      group: 'stock',
      kinds: ALL,
    },
    figure('g', 0, 1e6),
  ),
  {
    ...choiceOf({ key: 'archived', group: 'stock', kinds: ALL }, ARCHIVED_NAMES, 'no'),
    text: yesNoField,
  },
  { key: 'note', group: 'stock', kinds: ALL, text: textField(2000), first: '' },
];

/** All fields of all kinds, in the order of a form and of the columns of a file. */
export const MATERIAL_FIELDS: readonly MaterialField[] = worded(FIELDS, MATERIAL_FIELD_WORDS);

export function fieldsOf(kind: MaterialKind): MaterialField[] {
  return MATERIAL_FIELDS.filter(({ kinds }) => kinds.includes(kind));
}
