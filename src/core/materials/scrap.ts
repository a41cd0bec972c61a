import type { z } from '../zod';
import type { scrapSchema } from './scrapSchema';

export type Scrap = z.infer<typeof scrapSchema>;
