import { z } from '../zod';

/** The air of the rack as it was read; humidity as a fraction, null where it was not read. */
export const rackAirSchema = z.strictObject({
  id: z.string().min(1).max(64),
  at: z.iso.datetime(),
  tempC: z.number().min(-10).max(50),
  humidity: z.number().min(0).max(1).nullable(),
});

export const newRackAirSchema = rackAirSchema.omit({ at: true });
