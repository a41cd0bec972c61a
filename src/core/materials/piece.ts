import type { z } from '../zod';
import type { pieceSchema } from './pieceSchema';

export type Piece = z.infer<typeof pieceSchema>;
