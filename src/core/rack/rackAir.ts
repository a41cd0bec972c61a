import { waterActivityOf } from '../heat/substanceOf';
import type { Base } from '../materials/base';
import type { z } from '../zod';
import type { rackAirSchema } from './rackAirSchema';

/** Air that was read, and when, ISO 8601. */
export type RackAir = z.infer<typeof rackAirSchema>;

/** What the air of the rack does to a bar of a base. */
export type AirDoes = 'draws-water' | 'near' | 'dries' | 'steady';

/** So little below the humidity at which a bar draws water, a damp evening is enough. Our own figure. */
const NEAR = 0.05;
/** Drier than this a bar without its wrap loses weight day by day. Common practice, no source. */
const DRY = 0.4;

/** @returns null where the humidity was not read */
export function airDoes(
  { humidity }: Pick<RackAir, 'humidity'>,
  base: Pick<Base, 'sweat' | 'sweatsAbove'>,
): AirDoes | null {
  if (humidity === null) return null;
  const from = waterActivityOf(base);
  if (humidity > from) return 'draws-water';
  if (humidity > from - NEAR) return 'near';
  return humidity < DRY ? 'dries' : 'steady';
}
