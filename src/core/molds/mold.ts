import type { z } from '../zod';
import type { measureSchema, moldSchema, newMoldSchema, shapeSchema } from './moldSchema';

export const MEASURED_BY = ['water', 'base', 'one-piece', 'dimensions', 'water-steps', 'model'] as const;

export const MOLD_MATERIALS = [
  'silicone',
  'thin-plastic',
  'wood',
  'food-container',
  'steel',
  'unknown',
] as const;

export type Shape = z.infer<typeof shapeSchema>;

export type Mold = z.infer<typeof moldSchema>;

export type NewMold = z.infer<typeof newMoldSchema>;

export type Measure = z.infer<typeof measureSchema>;
