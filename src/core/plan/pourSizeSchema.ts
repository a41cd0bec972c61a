import { z } from '../zod';
import { POUR_SIZE_LIMITS } from './pourSize';

const within = ([least, most]: readonly [number, number]) => z.number().min(least).max(most);

const millimetres = within(POUR_SIZE_LIMITS.mm);

/** How big a pour is, in any of the ways of the trade. */
export const pourSizeSchema = z.discriminatedUnion('by', [
  /** So many parts of what the other ways leave of the fill. */
  z.strictObject({ by: z.literal('parts'), parts: within(POUR_SIZE_LIMITS.parts) }),
  /** A weight over all cavities together, base and additions. */
  z.strictObject({ by: z.literal('mass'), massG: within(POUR_SIZE_LIMITS.massG) }),
  /** A weight of base in the jug over all cavities; what is dosed into it comes on top. */
  z.strictObject({ by: z.literal('base'), baseG: within(POUR_SIZE_LIMITS.massG) }),
  z.strictObject({ by: z.literal('thickness'), thicknessMm: millimetres }),
  /** Up to a height above the floor. */
  z.strictObject({ by: z.literal('height'), heightMm: millimetres }),
  z.strictObject({ by: z.literal('fill'), fractionOfFill: within(POUR_SIZE_LIMITS.ofFill) }),
  /** Until its surface in a round bottom is a disc of this diameter. */
  z.strictObject({ by: z.literal('disc'), diameterMm: millimetres }),
  /** Everything that is left of the fill. */
  z.strictObject({ by: z.literal('rest') }),
]);
