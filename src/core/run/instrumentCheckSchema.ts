import { z } from '../zod';
import { QUANTITIES } from './keptReadings';

export const newInstrumentCheckSchema = z.strictObject({
  id: z.uuid(),
  instrument: z.string().trim().min(1).max(64),
  quantity: z.enum(QUANTITIES),
  reference: z.number().min(-50).max(1e6),
  shown: z.number().min(-1000).max(1e6),
});
