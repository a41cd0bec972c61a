import { z } from '../zod';
import { BASE_LOOKS } from './base';
import { COLORANT_FORMS } from './colorant';
import { unknownOr } from './fields';
import { density, dosed, fraction, hexColour } from './fieldsSchema';

/** A sample that was matched by eye or from a photograph: what a known dose looked like in a known base. */
export const matchSchema = z.strictObject({
  on: z.iso.date(),
  colour: hexColour,
  ofBase: fraction.refine((share) => share > 0, { message: 'more-than-nothing' }),
  look: z.enum(BASE_LOOKS),
  /** How thick it was looked through; it matters in a clear base. */
  thicknessMm: z.number().min(0.5).max(500),
});

export const colorantSchema = z.strictObject({
  ...dosed,
  kind: z.literal('colorant'),
  form: z.enum(COLORANT_FORMS),
  /** Whether it moves into a neighbouring layer; unknown is answered by the form where that is common knowledge. */
  bleeds: unknownOr(z.boolean()),
  /** What a levelled spoon of a powder weighs a millilitre; air between the grains makes it lighter. */
  bulkDensityGPerMl: density,
  /** As it looks in a white base at a usual dose; an estimate until a sample is matched. */
  colour: unknownOr(hexColour).default(null),
  match: unknownOr(matchSchema).default(null),
});
