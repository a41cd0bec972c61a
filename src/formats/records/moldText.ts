import type { Measure, Mold, NewMold, Shape } from '../../core/molds/mold';
import { moldSchema, newMoldSchema } from '../../core/molds/moldSchema';
import type { ProfilePoint } from '../../core/molds/solids/profile';
import type { WaterStep } from '../../core/molds/solids/waterSteps';
import { fail, ok, type Result } from '../../core/result';
import { writeFigure } from '../../core/units/writeQuantity';
import { z } from '../../core/zod';
import { explainIssue } from '../../words/en/explainIssue';
import { MOLD_FIELD_WORDS } from '../../words/en/molds/fieldWords';
import { MADE_OF_NAMES, MEASURED_NAMES, SHAPE_NAMES } from '../../words/en/molds/names';
import { FIELD_FAULTS } from '../../words/en/records/fieldFaults';
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
} from './fieldText';
import {
  type RecordField,
  type RecordTexts,
  readTexts,
  type TextFault,
  worded,
  writeTexts,
} from './recordText';

/** One field of a mold's form. */
export interface MoldField extends RecordField {
  names?: Record<string, string>;
  decimal?: true;
  /** Shapes that have it; every mold does when it is left out. */
  shapes?: readonly Shape['kind'][];
}

const mm = figureField({ unit: 'mm', least: 1, most: 2000 });
const small = (least: number, most: number, unit: string) => figureField({ unit, least, most });

/** Two figures with a word or mark between them: `12 mm 30 mm`, `12: 30`. */
function pair<Item>(
  otherwise: (text: string) => string,
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
        ? fail(otherwise(text))
        : ok(read(first, second));
    },
  };
}

const point = pair<ProfilePoint>(
  FIELD_FAULTS.noProfilePoint,
  (heightMm, halfWidthMm) => ({ heightMm, halfWidthMm }),
  ({ heightMm, halfWidthMm }) => [heightMm, halfWidthMm],
);
const step = pair<WaterStep>(
  FIELD_FAULTS.noWaterStep,
  (volumeMl, heightMm) => ({ heightMm, volumeMl }),
  ({ heightMm, volumeMl }) => [volumeMl, heightMm],
);
const capacity = figureField({ unit: 'mL', least: 0.5, most: 50_000 });
/** What is only usual is no measuring. */
const { usual: _, ...WAYS_OF_MEASURING } = MEASURED_NAMES;
const measure: FieldText<Measure> = {
  write: ({ on, by, capacityMl }) => `${on} ${by} ${writeFigure(capacityMl, 6)} mL`,
  read(text, context) {
    const [on = '', by = '', ...amount] = text.split(' ');
    const day = dayField.read(on, context);
    const how = choiceField(WAYS_OF_MEASURING).read(by, context);
    const read = capacity.read(amount.join(' '), context);
    if (!day.success) return day;
    if (!how.success) return how;
    return read.success ? ok({ on: day.data, by: how.data, capacityMl: read.data }) : read;
  },
};

/** The measurings of a mold as text. */
export const measuresText = listField(measure);

/** A list that nobody types. */
function listAsJson(otherwise: () => string) {
  return {
    write: (list: readonly unknown[]) => JSON.stringify(list),
    read(text: string): Result<unknown[], string> {
      try {
        const list: unknown = JSON.parse(text);
        if (Array.isArray(list)) return ok(list);
      } catch {
        // Told below: an empty field and a broken one need the same.
      }
      return fail(otherwise());
    },
  };
}

/** The contours of a model. */
export const levelsText = listAsJson(FIELD_FAULTS.noModel);

/** How readily a mold loses heat, as it was taught. */
export const taughtText = listAsJson(FIELD_FAULTS.notTaught);

const SHAPE_KEY = 'shapeKind';
const ROUND: readonly Shape['kind'][] = ['cylinder', 'frustum', 'hemisphere', 'sphere', 'half-cylinder'];

/** Shapes that a loaf may have. */
const LONG: readonly Shape['kind'][] = ['box', 'half-cylinder', 'drawn-out'];

/** A field without its words. */
type Bare = Omit<MoldField, 'key' | 'label' | 'hint'> & { key: keyof typeof MOLD_FIELD_WORDS };

const OWN: readonly MoldField[] = worded<keyof typeof MOLD_FIELD_WORDS, Bare>(
  [
    { key: 'name', text: nameField(80), first: '' },
    {
      key: 'cavities',
      text: figureField({ unit: '', least: 1, most: 500, whole: true }),
      first: '',
      decimal: true,
    },
    {
      key: 'copies',
      text: figureField({ unit: '', least: 1, most: 100, whole: true }),
      first: '1',
      decimal: true,
    },
    {
      key: 'capacityMl',
      unit: 'mL',
      text: capacity,
      first: '',
      decimal: true,
    },
    {
      key: 'measuredBy',
      text: choiceField(MEASURED_NAMES),
      names: MEASURED_NAMES,
      first: 'water',
    },
    {
      key: 'usualFillFraction',
      unit: '%',
      text: figureField({ unit: '%', least: 5, most: 100 }, 0.01),
      first: '95',
      decimal: true,
    },
    {
      key: 'madeOf',
      text: choiceField(MADE_OF_NAMES),
      names: MADE_OF_NAMES,
      first: 'unknown',
    },
    {
      key: 'highestC',
      unit: '°C',
      text: unknownField(small(30, 400, '°C')),
      first: '',
      decimal: true,
    },
    {
      key: 'shrinkageFraction',
      unit: '%',
      text: unknownField(figureField({ unit: '%', least: 0, most: 20 }, 0.01)),
      first: '',
      decimal: true,
    },
    {
      key: 'sliceMm',
      unit: 'mm',
      text: unknownField(small(1, 500, 'mm')),
      first: '',
      decimal: true,
      shapes: LONG,
    },
    {
      key: 'stripMm',
      unit: 'mm',
      text: unknownField(small(1, 500, 'mm')),
      first: '',
      decimal: true,
      shapes: ['box'],
    },
    {
      key: 'endTrimMm',
      unit: 'mm',
      text: small(0, 500, 'mm'),
      first: '0',
      decimal: true,
      shapes: LONG,
    },
    { key: 'boughtFrom', text: textField(200), first: '' },
    { key: 'measures', text: measuresText, first: 'none' },
    { key: 'taught', text: taughtText, first: '[]' },
    { key: 'note', text: textField(2000), first: '' },
  ],
  MOLD_FIELD_WORDS,
);

const shapeKind: MoldField = {
  key: SHAPE_KEY,
  ...MOLD_FIELD_WORDS.shapeKind,
  text: choiceField(SHAPE_NAMES),
  names: SHAPE_NAMES,
  first: 'capacity-only',
};

const OF_SHAPE: readonly MoldField[] = worded<keyof typeof MOLD_FIELD_WORDS, Bare>(
  [
    {
      key: 'lengthMm',
      unit: 'mm',
      text: mm,
      first: '',
      decimal: true,
      shapes: ['box', 'half-cylinder', 'drawn-out'],
    },
    { key: 'widthMm', unit: 'mm', text: mm, first: '', decimal: true, shapes: ['box'] },
    {
      key: 'diameterMm',
      unit: 'mm',
      text: mm,
      first: '',
      decimal: true,
      shapes: ROUND,
    },
    {
      key: 'floorDiameterMm',
      unit: 'mm',
      text: mm,
      first: '',
      decimal: true,
      shapes: ['frustum'],
    },
    {
      key: 'depthMm',
      unit: 'mm',
      text: mm,
      first: '',
      decimal: true,
      shapes: ['box', 'cylinder', 'frustum'],
    },
    {
      key: 'draftDeg',
      unit: '°',
      text: small(0, 45, '°'),
      first: '0',
      decimal: true,
      shapes: ['box'],
    },
    {
      key: 'cornerMm',
      unit: 'mm',
      text: small(0, 500, 'mm'),
      first: '0',
      decimal: true,
      shapes: ['box'],
    },
    {
      key: 'points',
      unit: 'mm',
      text: listField(point),
      first: '',
      shapes: ['revolved', 'drawn-out'],
    },
    {
      key: 'steps',
      text: listField(step),
      first: '',
      shapes: ['water-steps'],
    },
    { key: 'levels', text: levelsText, first: '', shapes: ['model'] },
  ],
  MOLD_FIELD_WORDS,
);

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
  return whole.success ? ok(whole.data) : fail([{ key: SHAPE_KEY, reason: FIELD_FAULTS.noShape() }]);
}

const ANY = z.record(z.string(), z.unknown());
/** A fault of a shape as a whole is told at the first field that could be at fault. */
const shapeFields = z.record(z.string(), z.unknown()).superRefine((value, context) => {
  const read = moldSchema.shape.shape.safeParse(value);
  if (read.success) return;
  for (const issue of read.error.issues) {
    const key =
      issue.path[0] ?? ('points' in value ? 'points' : 'draftDeg' in value ? 'draftDeg' : SHAPE_KEY);
    context.addIssue({ code: 'custom', path: [key], message: explainIssue(issue) });
  }
});
