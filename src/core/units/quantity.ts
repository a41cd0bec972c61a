import type { z } from '../zod';
import type { countedSchema, quantitySchema } from './quantitySchema';

export type Counted = z.infer<typeof countedSchema>;

export type Quantity = z.infer<typeof quantitySchema>;

export type QuantityKind = Quantity['kind'];
