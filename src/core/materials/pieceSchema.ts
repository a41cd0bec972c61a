import { z } from '../zod';
import { unknownOr } from './fields';
import { common } from './fieldsSchema';

/** A bought thing that is set into a bar, counted in pieces: a slice of loofah, a figure, a ribbon's bead. */
export const pieceSchema = z.strictObject({
  ...common,
  kind: z.literal('piece'),
  pieceG: unknownOr(z.number().min(0.01).max(10_000)),
  pieceMl: unknownOr(z.number().min(0.01).max(10_000)),
  heightMm: unknownOr(z.number().min(0.1).max(500)),
});
