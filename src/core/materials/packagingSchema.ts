import { z } from '../zod';
import { common } from './fieldsSchema';

const { id, name, note, lowStock, archived } = common;

/** Wrap, boxes, labels: counted in pieces. */
export const packagingSchema = z.strictObject({
  id,
  name,
  note,
  lowStock,
  archived,
  kind: z.literal('packaging'),
});
