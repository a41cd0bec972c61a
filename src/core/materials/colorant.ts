import type { z } from '../zod';
import type { colorantSchema, matchSchema } from './colorantSchema';

export const COLORANT_FORMS = ['mica', 'pigment', 'dye', 'block', 'food', 'candle-dye'] as const;

export type ColourMatch = z.infer<typeof matchSchema>;

export type Colorant = z.infer<typeof colorantSchema>;
