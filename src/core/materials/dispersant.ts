import type { z } from '../zod';
import type { dispersantSchema } from './dispersantSchema';

export type Dispersant = z.infer<typeof dispersantSchema>;
