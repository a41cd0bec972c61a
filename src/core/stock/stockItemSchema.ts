import { z } from '../zod';

/**
 * What there can be stock of: a material of the shelf (scrap and packaging are kept there too), pieces that were made to
 * be set into others, what is sold.
 */
export const STOCK_ITEM_KINDS = ['material', 'piece', 'product'] as const;

/** A stock item by the id of the record it is told by. */
export const stockItemSchema = z.strictObject({
  kind: z.enum(STOCK_ITEM_KINDS),
  id: z.string().min(1).max(64),
});
