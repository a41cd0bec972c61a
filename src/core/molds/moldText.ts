import {
  choiceField,
  dayField,
  type FieldText,
  figureField,
  listField,
  nameField,
  type TextContext,
  textField,
  unknownField,
} from '../records/fieldText';
import {
  type RecordField,
  type RecordTexts,
  readTexts,
  type TextFault,
  writeTexts,
} from '../records/recordText';
import { fail, ok, type Result } from '../result';
import { writeFigure } from '../units/writeQuantity';
import { z } from '../zod';
import { type Measure, type Mold, moldSchema, type NewMold, newMoldSchema, type Shape } from './mold';
import { MADE_OF_NAMES, MEASURED_NAMES, SHAPE_NAMES } from './names';
import type { ProfilePoint } from './solids/profile';
import type { WaterStep } from './solids/waterSteps';

/** One field of a mold's form. */
export interface MoldField extends RecordField {
  hint?: string;
  names?: Record<string, string>;
  decimal?: true;
  /** Shapes that have it; every mold does when it is left out. */
  shapes?: readonly Shape['kind'][];
}

const mm = figureField({ unit: 'mm', least: 1, most: 2000 });
const small = (least: number, most: number, unit: string) => figureField({ unit, least, most });

/** Two figures with a word or mark between them: `12 mm 30 mm`, `12: 30`. */
function pair<Item>(
  what: string,
  read: (first: number, second: number) => Item,
  write: (item: Item) => [number, number],
): FieldText<Item> {
  return {
    write: (item) =>
      write(item)
        .map((figure) => writeFigure(figure, 6))
        .join(' '),
    read(text) {
      const parts = /^([\d.,]+)\D+?([\d.,]+)\D*$/.exec(text);
      const [first, second] = [parts?.[1], parts?.[2]].map((part) => Number((part ?? '').replace(',', '.')));
      return first === undefined || second === undefined || !Number.isFinite(first + second) || !parts
        ? fail(`“${text.slice(0, 24)}” is not a pair. Write ${what}.`)
        : ok(read(first, second));
    },
  };
}

const point = pair<ProfilePoint>(
  'height and half the width in mm: 0 20; 12 24',
  (heightMm, halfWidthMm) => ({ heightMm, halfWidthMm }),
  ({ heightMm, halfWidthMm }) => [heightMm, halfWidthMm],
);
const step = pair<WaterStep>(
  'mL in all and the height in mm: 20 6; 40 11',
  (volumeMl, heightMm) => ({ heightMm, volumeMl }),
  ({ heightMm, volumeMl }) => [volumeMl, heightMm],
);
const capacity = figureField({ unit: 'mL', least: 0.5, most: 50_000 });
const measure: FieldText<Measure> = {
  write: ({ on, by, capacityMl }) => `${on} ${by} ${writeFigure(capacityMl, 6)} mL`,
  read(text, context) {
    const [on = '', by = '', ...amount] = text.split(' ');
    const day = dayField.read(on, context);
    const how = choiceField(MEASURED_NAMES).read(by, context);
    const read = capacity.read(amount.join(' '), context);
    if (!day.success) return day;
    if (!how.success) return how;
    return read.success ? ok({ on: day.data, by: how.data, capacityMl: read.data }) : read;
  },
};

/** The measurings of a mold as text. */
export const measuresText = listField(measure);

/** A list that nobody types. */
function listAsJson(otherwise: string) {
  return {
    write: (list: readonly unknown[]) => JSON.stringify(list),
    read(text: string): Result<unknown[], string> {
      try {
        const list: unknown = JSON.parse(text);
        if (Array.isArray(list)) return ok(list);
      } catch {
        // Told below: an empty field and a broken one need the same.
      }
      return fail(otherwise);
    },
  };
}

/** The contours of a model. */
export const levelsText = listAsJson('Open a model file, and make it the cavity.');

/** How readily a mold loses heat, as it was taught. */
export const taughtText = listAsJson('Teach it anew from the pour plan.');

const SHAPE_KEY = 'shapeKind';
const ROUND: readonly Shape['kind'][] = ['cylinder', 'frustum', 'hemisphere', 'sphere', 'half-cylinder'];

/** Shapes that a loaf may have. */
const LONG: readonly Shape['kind'][] = ['box', 'half-cylinder', 'drawn-out'];

const OWN: readonly MoldField[] = [
  { key: 'name', label: 'Name', text: nameField(80), first: '' },
  {
    key: 'cavities',
    label: 'Cavities',
    text: figureField({ unit: '', least: 1, most: 500, whole: true }),
    first: '',
    decimal: true,
  },
  {
    key: 'copies',
    label: 'Molds like this one',
    hint: 'A round fills all of them.',
    text: figureField({ unit: '', least: 1, most: 100, whole: true }),
    first: '1',
    decimal: true,
  },
  {
    key: 'capacityMl',
    label: 'One cavity holds',
    unit: 'mL',
    hint: 'Grams of water are millilitres. An ounce on the scale is not a fluid ounce.',
    text: capacity,
    first: '',
    decimal: true,
  },
  {
    key: 'measuredBy',
    label: 'Measured by',
    text: choiceField(MEASURED_NAMES),
    names: MEASURED_NAMES,
    first: 'water',
  },
  {
    key: 'usualFillFraction',
    label: 'Usually filled to',
    unit: '%',
    text: figureField({ unit: '%', least: 5, most: 100 }, 0.01),
    first: '95',
    decimal: true,
  },
  {
    key: 'madeOf',
    label: 'Made of',
    text: choiceField(MADE_OF_NAMES),
    names: MADE_OF_NAMES,
    first: 'unknown',
  },
  {
    key: 'highestC',
    label: 'Bears up to',
    unit: '°C',
    hint: 'Thin plastic warps early. Empty: not known',
    text: unknownField(small(30, 400, '°C')),
    first: '',
    decimal: true,
  },
  {
    key: 'shrinkageFraction',
    label: 'Shrinks by',
    unit: '%',
    hint: 'Empty: not known',
    text: unknownField(figureField({ unit: '%', least: 0, most: 20 }, 0.01)),
    first: '',
    decimal: true,
  },
  {
    key: 'sliceMm',
    label: 'Sliced into bars of',
    unit: 'mm',
    hint: 'Empty: not sliced',
    text: unknownField(small(1, 500, 'mm')),
    first: '',
    decimal: true,
    shapes: LONG,
  },
  {
    key: 'stripMm',
    label: 'A slab, first into strips of',
    unit: 'mm',
    hint: 'Of its width. Empty: no slab',
    text: unknownField(small(1, 500, 'mm')),
    first: '',
    decimal: true,
    shapes: ['box'],
  },
  {
    key: 'endTrimMm',
    label: 'Cut off at each end',
    unit: 'mm',
    text: small(0, 500, 'mm'),
    first: '0',
    decimal: true,
    shapes: LONG,
  },
  { key: 'boughtFrom', label: 'Bought from', text: textField(200), first: '' },
  { key: 'measures', label: 'Measured before', text: measuresText, first: 'none' },
  { key: 'taught', label: 'Taught', text: taughtText, first: '[]' },
  { key: 'note', label: 'Note', text: textField(2000), first: '' },
];

const shapeKind: MoldField = {
  key: SHAPE_KEY,
  label: 'Shape inside',
  text: choiceField(SHAPE_NAMES),
  names: SHAPE_NAMES,
  first: 'capacity-only',
};

const OF_SHAPE: readonly MoldField[] = [
  {
    key: 'lengthMm',
    label: 'Length',
    unit: 'mm',
    text: mm,
    first: '',
    decimal: true,
    shapes: ['box', 'half-cylinder', 'drawn-out'],
  },
  { key: 'widthMm', label: 'Width', unit: 'mm', text: mm, first: '', decimal: true, shapes: ['box'] },
  {
    key: 'diameterMm',
    label: 'Diameter',
    unit: 'mm',
    hint: 'At the brim',
    text: mm,
    first: '',
    decimal: true,
    shapes: ROUND,
  },
  {
    key: 'floorDiameterMm',
    label: 'Diameter of the floor',
    unit: 'mm',
    text: mm,
    first: '',
    decimal: true,
    shapes: ['frustum'],
  },
  {
    key: 'depthMm',
    label: 'Depth',
    unit: 'mm',
    text: mm,
    first: '',
    decimal: true,
    shapes: ['box', 'cylinder', 'frustum'],
  },
  {
    key: 'draftDeg',
    label: 'Walls lean out by',
    unit: '°',
    text: small(0, 45, '°'),
    first: '0',
    decimal: true,
    shapes: ['box'],
  },
  {
    key: 'cornerMm',
    label: 'Round corners',
    unit: 'mm',
    text: small(0, 500, 'mm'),
    first: '0',
    decimal: true,
    shapes: ['box'],
  },
  {
    key: 'points',
    label: 'Profile',
    unit: 'mm',
    hint: 'Height and half the width, from the floor up: 0 20; 12 24; 30 30',
    text: listField(point),
    first: '',
    shapes: ['revolved', 'drawn-out'],
  },
  {
    key: 'steps',
    label: 'Water steps',
    hint: 'mL in all and the height in mm after each: 20 6; 40 11; 60 15',
    text: listField(step),
    first: '',
    shapes: ['water-steps'],
  },
  { key: 'levels', label: 'Model', text: levelsText, first: '', shapes: ['model'] },
];

/** All fields of a mold, in the order of its form. */
export const MOLD_FIELDS: readonly MoldField[] = [
  ...OWN.slice(0, 5),
  shapeKind,
  ...OF_SHAPE,
  ...OWN.slice(5),
];

export function fieldsOfShape(kind: Shape['kind']): MoldField[] {
  return MOLD_FIELDS.filter(({ shapes }) => shapes === undefined || shapes.includes(kind));
}

const CONTEXT: TextContext = { decimal: 'either', idOf: () => undefined, nameOf: (id) => id };

/** A mold as text in its fields; `null` is an empty form. */
export function typedMold(mold: Mold | null, usualFill = 0.95): RecordTexts {
  const empty = Object.fromEntries(MOLD_FIELDS.map(({ key, first }) => [key, first]));
  if (mold === null) return { ...empty, usualFillFraction: writeFigure(usualFill * 100, 4) };
  return {
    ...empty,
    ...writeTexts(OWN, { ...mold }, CONTEXT),
    ...writeTexts(
      OF_SHAPE.filter(({ shapes }) => shapes?.includes(mold.shape.kind)),
      { ...mold.shape },
      CONTEXT,
    ),
    [SHAPE_KEY]: mold.shape.kind,
  };
}

/** The mold that texts say, without an id, or every field that can't be read. */
export function readMold(texts: RecordTexts): Result<NewMold, TextFault[]> {
  const kind = shapeKind.text.read(texts[SHAPE_KEY] || shapeKind.first, CONTEXT);
  if (!kind.success) return fail([{ key: SHAPE_KEY, reason: kind.error }]);
  const fields = OF_SHAPE.filter(({ shapes }) => shapes?.includes(kind.data));
  const shape = readTexts(fields, shapeFields, { kind: kind.data }, texts, CONTEXT);
  const mold = readTexts(OWN, ANY, {}, texts, CONTEXT);
  if (!shape.success || !mold.success)
    return fail([...(mold.success ? [] : mold.error), ...(shape.success ? [] : shape.error)]);
  const whole = newMoldSchema.safeParse({ ...mold.data, shape: shape.data });
  return whole.success ? ok(whole.data) : fail([{ key: SHAPE_KEY, reason: 'The shape can’t be so.' }]);
}

const ANY = z.record(z.string(), z.unknown());
/** A fault of a shape as a whole is told at the first field that could be at fault. */
const shapeFields = z.record(z.string(), z.unknown()).superRefine((value, context) => {
  const read = moldSchema.shape.shape.safeParse(value);
  if (read.success) return;
  for (const issue of read.error.issues) {
    const key =
      issue.path[0] ?? ('points' in value ? 'points' : 'draftDeg' in value ? 'draftDeg' : SHAPE_KEY);
    context.addIssue({ code: 'custom', path: [key], message: issue.message });
  }
});
