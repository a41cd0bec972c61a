import {
  ADDITIVE_ROLES,
  BASE_KINDS,
  BASE_LOOKS,
  COLORANT_FORMS,
  MATERIAL_KINDS,
  type Material,
  SKIN_RELEASES,
} from '../../core/materials/material';
import { readingSchema } from '../../core/materials/reading';
import { z } from '../../core/zod';
import { figureTextOrUnknown, nameText, writeKnown } from '../shared/formFields';

const percent = { unit: '%', least: 0, most: 100 };
const density = { unit: 'g/mL', least: 0.05, most: 5 };

/** Every field of every kind of material, as it is typed. The fields of other kinds stay as they are. */
export const materialFormSchema = z.object({
  kind: z.enum(MATERIAL_KINDS),
  name: nameText(80),
  note: z.string().max(2000, '2000 characters at the most.'),
  density: figureTextOrUnknown(density),
  bulkDensity: figureTextOrUnknown(density),
  baseKind: z.enum(BASE_KINDS),
  look: z.enum(BASE_LOOKS),
  fragranceCap: figureTextOrUnknown(percent),
  additionsCap: figureTextOrUnknown(percent),
  ceiling: figureTextOrUnknown({ unit: '°C', least: 30, most: 120 }),
  skin: z.enum(SKIN_RELEASES),
  maxOfProduct: figureTextOrUnknown(percent),
  form: z.enum(COLORANT_FORMS),
  role: z.enum(ADDITIVE_ROLES),
  readings: z.array(readingSchema),
});

export type MaterialTyped = z.input<typeof materialFormSchema>;
export type MaterialRead = z.output<typeof materialFormSchema>;
export type NewMaterial = Material extends infer Each
  ? Each extends Material
    ? Omit<Each, 'id'>
    : never
  : never;

const NOTHING_TYPED: MaterialTyped = {
  kind: 'fragrance',
  name: '',
  note: '',
  density: '',
  bulkDensity: '',
  baseKind: 'soap',
  look: 'clear',
  fragranceCap: '',
  additionsCap: '',
  ceiling: '',
  skin: 'unknown',
  maxOfProduct: '',
  form: 'mica',
  role: 'active',
  readings: [],
};

const asPercent = (fraction: number | null) => writeKnown(fraction === null ? null : fraction * 100);
const asFraction = (value: number | null) => (value === null ? null : value / 100);

/** A material as text in its fields; `null` is an empty form. */
export function typedMaterial(material: Material | null): MaterialTyped {
  if (material === null) return NOTHING_TYPED;
  const common = {
    ...NOTHING_TYPED,
    kind: material.kind,
    name: material.name,
    note: material.note,
    density: writeKnown(material.densityGPerMl),
  };
  if (material.kind === 'base') {
    return {
      ...common,
      baseKind: material.baseKind,
      look: material.look,
      fragranceCap: asPercent(material.fragranceCapOfBase),
      additionsCap: asPercent(material.additionsCapOfBase),
      ceiling: writeKnown(material.ceilingC),
    };
  }
  const dosed = {
    ...common,
    skin: material.skin,
    maxOfProduct: asPercent(material.maxOfProduct),
    readings: material.readings,
  };
  switch (material.kind) {
    case 'fragrance':
      return dosed;
    case 'colorant':
      return { ...dosed, form: material.form, bulkDensity: writeKnown(material.bulkDensityGPerMl) };
    case 'additive':
      return { ...dosed, role: material.role, bulkDensity: writeKnown(material.bulkDensityGPerMl) };
  }
}

/** The material that the fields say. */
export function readMaterial(read: MaterialRead): NewMaterial {
  const common = { name: read.name, note: read.note, densityGPerMl: read.density };
  const dosed = {
    ...common,
    skin: read.skin,
    maxOfProduct: asFraction(read.maxOfProduct),
    readings: read.readings,
  };
  switch (read.kind) {
    case 'base':
      return {
        ...common,
        kind: 'base',
        baseKind: read.baseKind,
        look: read.look,
        fragranceCapOfBase: asFraction(read.fragranceCap),
        additionsCapOfBase: asFraction(read.additionsCap),
        ceilingC: read.ceiling,
      };
    case 'fragrance':
      return { ...dosed, kind: 'fragrance' };
    case 'colorant':
      return { ...dosed, kind: 'colorant', form: read.form, bulkDensityGPerMl: read.bulkDensity };
    case 'additive':
      return { ...dosed, kind: 'additive', role: read.role, bulkDensityGPerMl: read.bulkDensity };
  }
}
