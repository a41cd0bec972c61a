import { z } from '../zod';
import { PIECE_SIZE_LIMITS } from './pieceSize';

const within = ([least, most]: readonly [number, number]) => z.number().min(least).max(most);

const millimetres = within(PIECE_SIZE_LIMITS.mm);

/** How big one piece is that is set into a pour. */
export const pieceSizeSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('mass'), massG: within(PIECE_SIZE_LIMITS.massG) }),
  z.strictObject({ by: z.literal('volume'), volumeMl: within(PIECE_SIZE_LIMITS.volumeMl) }),
  /** The last is how high it stands. */
  z.strictObject({
    by: z.literal('box'),
    lengthMm: millimetres,
    widthMm: millimetres,
    heightMm: millimetres,
  }),
  z.strictObject({ by: z.literal('ball'), diameterMm: millimetres }),
]);
