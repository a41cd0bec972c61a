import type { z } from '../zod';
import type { productSchema } from './productSchema';

/** How pieces are packed. */
export const FORMS = ['single', 'set', 'gift-box'] as const;

export type Product = z.infer<typeof productSchema>;
