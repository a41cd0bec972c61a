import { z } from '../zod';
import { ADDITIVE_ROLES } from './additive';
import { unknownOr } from './fields';
import { density, dosed } from './fieldsSchema';

export const additiveSchema = z.strictObject({
  ...dosed,
  kind: z.literal('additive'),
  role: z.enum(ADDITIVE_ROLES),
  /** Largest grain of a grit, mm. */
  grainMm: unknownOr(z.number().min(0.001).max(20)),
  bulkDensityGPerMl: density,
});
