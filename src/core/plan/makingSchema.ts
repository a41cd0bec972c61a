import { z } from '../zod';
import { isZone } from './making';

/** A moment of the workshop's own clock, to the minute: 2026-05-02T17:00. */
export const localMoment = z
  .string()
  .regex(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])T([01]\d|2[0-3]):[0-5]\d$/, {
    message: 'day-and-time',
  })
  .refine((text) => !Number.isNaN(Date.parse(`${text}Z`)), { message: 'day-that-there-is' });

/** The room a plan is made in, and how far it may be off. */
export const roomSchema = z.strictObject({
  tempC: z.number().min(5).max(40),
  spreadK: z.number().min(0).max(8),
  /** Relative, 0 to 1. */
  humidity: z.number().min(0.05).max(0.98),
  humiditySpread: z.number().min(0).max(0.3),
});

/** Where and when a plan is made. */
export const makingSchema = z.strictObject({
  room: roomSchema,
  /** When it begins, or by when it is to be done; null counts from the first melt. */
  clock: z
    .strictObject({
      at: z.enum(['start', 'finish']),
      time: localMoment,
      /** Of the IANA database, such as Europe/Lisbon; left out where nobody knows it. */
      zone: z.string().min(1).max(64).refine(isZone, { message: 'known-time-zone' }).optional(),
    })
    .nullable(),
  /** Minutes in the freezer after the last pour has its skin; null for none. */
  freezerMin: z.number().min(1).max(600).nullable(),
});

/** When a pour is poured, where that is not left to the pour plan. */
export const whenSchema = z.strictObject({
  /** Minutes after the pour before; its own moment where it is the first, so never there. */
  afterMin: z.number().min(0).max(1440).optional(),
  /** How warm it is poured. */
  atC: z.number().min(35).max(90).optional(),
});
