import type { z } from '../zod';
import type { allergenSchema, fragranceSchema } from './fragranceSchema';

export const FRAGRANCE_KINDS = ['fragrance-oil', 'essential-oil'] as const;

export type Allergen = z.infer<typeof allergenSchema>;

export type Fragrance = z.infer<typeof fragranceSchema>;
