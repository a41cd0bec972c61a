import { z } from '../zod';
import { density, dosed, unknownOr } from './fields';

export const COLORANT_FORMS = ['mica', 'pigment', 'dye', 'block', 'food', 'candle-dye'] as const;

export const colorantSchema = z.strictObject({
  ...dosed,
  kind: z.literal('colorant'),
  form: z.enum(COLORANT_FORMS),
  /** Whether it moves into a neighbouring layer; unknown is answered by the form where that is common knowledge. */
  bleeds: unknownOr(z.boolean()),
  /** What a levelled spoon of a powder weighs a millilitre; air between the grains makes it lighter. */
  bulkDensityGPerMl: density,
});

export type Colorant = z.infer<typeof colorantSchema>;
