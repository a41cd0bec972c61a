import { z } from '../zod';
import { rangeSchema } from './range';

export const JOB_KINDS = [
  'melt',
  'stir-in',
  'cool',
  'rewarm',
  'pour',
  'skin',
  'freezer',
  'set',
  'unmold',
  'wash',
  'cut',
  'harden',
  'wrap',
] as const;

/** One stretch of the pour plan, s from its beginning. */
export const jobSchema = z.strictObject({
  kind: z.enum(JOB_KINDS),
  /** Fillings of the molds, from 0. */
  round: z.int().nonnegative(),
  /** Places of the pours it is for; none where it is for the bar. */
  pourIndexes: z.array(z.int().nonnegative()),
  /** Which load of a pour that takes several, from 0. */
  load: z.int().nonnegative(),
  loads: z.int().positive(),
  fromS: z.number(),
  toS: z.number(),
  /** When it ends, where that is not sure. */
  ends: rangeSchema.nullable(),
  /** Hands are bound all the while. */
  hands: z.boolean(),
  jugName: z.string(),
  massG: z.number().nonnegative().nullable(),
  tempC: z.number().nullable(),
  bursts: z
    .array(
      z.strictObject({
        lengthS: z.number().nonnegative(),
        power: z.number().positive().max(1),
        stirS: z.number().nonnegative(),
        restS: z.number().nonnegative(),
      }),
    )
    .nullable(),
});

export type Job = z.infer<typeof jobSchema>;
/** True for what keeps a pair of hands busy all the while: bursts do, a double boiler does not. */
export function bindsHands({ hands, kind, bursts }: Pick<Job, 'hands' | 'kind' | 'bursts'>): boolean {
  return hands || (kind === 'melt' && bursts !== null);
}

export type JobKind = (typeof JOB_KINDS)[number];
