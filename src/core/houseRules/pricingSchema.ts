import { z } from '../zod';
import { PRICE_ENDINGS } from './pricing';

const fraction = z.number().min(0).max(0.95);

export const pricingSchema = z.strictObject({
  by: z.enum(['margin', 'mark-up']),
  /** Of the price without tax. */
  margin: fraction,
  /** On the cost. */
  markUp: z.number().min(0).max(20),
  wholesaleMargin: fraction,
  /** Of what the buyer pays. */
  fee: fraction,
  /** On the price without tax. */
  tax: fraction,
  ending: z.enum(PRICE_ENDINGS),
});
