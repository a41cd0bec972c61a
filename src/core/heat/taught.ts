import type { z } from '../zod';
import type { fitMomentSchema, readingSchema, taughtSchema } from './taughtSchema';

export type Taught = z.infer<typeof taughtSchema>;

export type FitMoment = z.infer<typeof fitMomentSchema>;

export type Reading = z.infer<typeof readingSchema>;
