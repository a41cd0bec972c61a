import { z } from '../zod';
import { LAID_WHERE } from './laid';

export const laidSchema = z.strictObject({
  where: z.enum(LAID_WHERE),
  /** Pressed down, so that it holds. */
  pressed: z.literal(true).optional(),
});
