import { MEASURED_BY, type Mold, type Shape } from '../../core/molds/mold';
import { z } from '../../core/zod';
import { figureText, figureTextOrUnknown, nameText, writeKnown } from '../shared/formFields';

const millimetres = figureTextOrUnknown({ unit: 'mm', least: 1, most: 2000 });
const SHAPES = ['capacity-only', 'box', 'cylinder', 'hemisphere'] as const;

/** The dimensions that each shape must have. */
const NEEDED: Record<Shape['kind'], ('length' | 'width' | 'diameter' | 'depth')[]> = {
  'capacity-only': [],
  box: ['length', 'width', 'depth'],
  cylinder: ['diameter', 'depth'],
  hemisphere: ['diameter'],
};

export const moldFormSchema = z
  .object({
    name: nameText(80),
    note: z.string().max(2000, '2000 characters at the most.'),
    cavities: figureText({ unit: '', least: 1, most: 500, whole: true }),
    capacity: figureText({ unit: 'mL', least: 0.5, most: 50_000 }),
    measuredBy: z.enum(MEASURED_BY),
    usualFill: figureText({ unit: '%', least: 5, most: 100 }),
    shape: z.enum(SHAPES),
    length: millimetres,
    width: millimetres,
    diameter: millimetres,
    depth: millimetres,
  })
  .superRefine((read, context) => {
    for (const field of NEEDED[read.shape]) {
      if (read[field] !== null) continue;
      context.addIssue({
        code: 'custom',
        path: [field],
        message: 'Measure it inside, in mm from 1 to 2000.',
      });
    }
  });

export type MoldTyped = z.input<typeof moldFormSchema>;
export type MoldRead = z.output<typeof moldFormSchema>;

/** A mold as text in its fields; `null` is an empty form. */
export function typedMold(mold: Mold | null, usualFill = 0.95): MoldTyped {
  const dimensions = { length: '', width: '', diameter: '', depth: '' };
  if (mold === null) {
    return {
      name: '',
      note: '',
      cavities: '',
      capacity: '',
      measuredBy: 'water',
      usualFill: writeKnown(usualFill * 100),
      shape: 'capacity-only',
      ...dimensions,
    };
  }
  const { shape } = mold;
  return {
    name: mold.name,
    note: mold.note,
    cavities: writeKnown(mold.cavities),
    capacity: writeKnown(mold.capacityMl),
    measuredBy: mold.measuredBy,
    usualFill: writeKnown(mold.usualFillFraction * 100),
    shape: shape.kind,
    ...dimensions,
    ...('lengthMm' in shape ? { length: writeKnown(shape.lengthMm), width: writeKnown(shape.widthMm) } : {}),
    ...('diameterMm' in shape ? { diameter: writeKnown(shape.diameterMm) } : {}),
    ...('depthMm' in shape ? { depth: writeKnown(shape.depthMm) } : {}),
  };
}

/** The mold that the fields say; they have passed the schema, so a shape has its dimensions. */
export function readMold(read: MoldRead): Omit<Mold, 'id'> {
  return {
    name: read.name,
    note: read.note,
    cavities: read.cavities,
    capacityMl: read.capacity,
    measuredBy: read.measuredBy,
    usualFillFraction: read.usualFill / 100,
    shape: shapeOf(read),
  };
}

function shapeOf({ shape, length, width, diameter, depth }: MoldRead): Shape {
  const mm = (value: number | null) => value ?? Number.NaN;
  switch (shape) {
    case 'box':
      return { kind: 'box', lengthMm: mm(length), widthMm: mm(width), depthMm: mm(depth) };
    case 'cylinder':
      return { kind: 'cylinder', diameterMm: mm(diameter), depthMm: mm(depth) };
    case 'hemisphere':
      return { kind: 'hemisphere', diameterMm: mm(diameter) };
    case 'capacity-only':
      return { kind: 'capacity-only' };
  }
}
