import { z } from '../core/zod';
import type { Reading } from '../instruments/reading';
import { readLine } from '../instruments/textLine';
import { tellReading } from './changes';
import { invalidField, Problem } from './problem';

/** More than ten a second for a minute come together from nothing that is read. */
const MOST_READINGS = 600;

const common = { stable: z.boolean().nullable().optional(), at: z.iso.datetime().optional() };
const reading = z.union([
  z.strictObject({ massG: z.number().min(-1e6).max(1e6), ...common }),
  z.strictObject({ tempC: z.number().min(-100).max(500), ...common }),
  z.strictObject({ overload: z.literal(true), at: z.iso.datetime().optional() }),
]);

/** One reading as it is sent, or several. */
export const readingsSchema = z.union([reading, z.array(reading).min(1).max(MOST_READINGS)]);

export type SentReadings = z.infer<typeof readingsSchema>;

/** @throws Problem 422 for an instrument that has no name */
export function relayReadings(instrument: string, sent: SentReadings, now: string): { taken: number } {
  const all = [sent].flat();
  for (const each of all) {
    const atMs = Date.parse(each.at ?? now);
    const isStable = 'stable' in each ? (each.stable ?? null) : null;
    relay(
      instrument,
      'massG' in each
        ? { kind: 'mass', massG: each.massG, isStable, atMs }
        : 'tempC' in each
          ? { kind: 'temperature', tempC: each.tempC, isStable, atMs }
          : { kind: 'overload', atMs },
    );
  }
  return { taken: all.length };
}

/**
 * Lines as an instrument sends them; those that say nothing are passed over.
 *
 * @throws Problem 422 when none of them says anything
 */
export function relayLines(instrument: string, text: string, now: string): { taken: number } {
  const lines = text.split(/[\r\n]+/).filter((line) => line.trim() !== '');
  if (lines.length > MOST_READINGS)
    throw new Problem(413, 'too-large', `More than ${MOST_READINGS} lines at once. Send less at once.`);
  const read = lines.flatMap((line) => readLine(line, Date.parse(now)) ?? []);
  if (read.length === 0)
    throw new Problem(
      422,
      'no-reading',
      'No line has a number with a unit of mass or temperature: g, kg, oz, lb, °C or °F. Send lines such as “12.4 g”.',
    );
  for (const each of read) relay(instrument, each);
  return { taken: read.length };
}

function relay(instrument: string, shown: Reading): void {
  if (instrument.trim() === '' || instrument.length > 64)
    throw invalidField('id', 'must be a name of 1 to 64 characters');
  tellReading({ instrument, reading: shown });
}
