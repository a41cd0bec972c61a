import type { z } from '../zod';
import type { pourWaySchema } from './pourWaySchema';

export type PourWay = z.infer<typeof pourWaySchema>;
