import type { z } from '../zod';
import type { makingSchema, roomSchema, whenSchema } from './makingSchema';

export function isZone(name: string): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: name }));
  } catch {
    return false;
  }
}

export type RoomOfPlan = z.infer<typeof roomSchema>;

export type Making = z.infer<typeof makingSchema>;

export type When = z.infer<typeof whenSchema>;

/** Our own assumption: an ordinary room, as well as a thermometer on its wall knows it. */
export const USUAL_MAKING: Making = {
  room: { tempC: 21, spreadK: 1, humidity: 0.5, humiditySpread: 0.08 },
  clock: null,
  freezerMin: null,
};
