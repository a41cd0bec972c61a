import type { z } from '../zod';
import type { packagingSchema } from './packagingSchema';

export type Packaging = z.infer<typeof packagingSchema>;
