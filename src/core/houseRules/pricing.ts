import type { z } from '../zod';
import type { pricingSchema } from './pricingSchema';

/** What a price ends on. */
export const PRICE_ENDINGS = ['none', 'half', 'ninety', 'ninety-five', 'ninety-nine', 'whole'] as const;
export type PriceEnding = (typeof PRICE_ENDINGS)[number];

/** How prices are made of costs. */
export type Pricing = z.infer<typeof pricingSchema>;

/** Until a workshop says otherwise. Our own assumption: no tax and no fees, as nobody can guess them. */
export const USUAL_PRICING: Pricing = {
  ...{ by: 'margin', margin: 0.6, markUp: 1.5, wholesaleMargin: 0.4, fee: 0, tax: 0, ending: 'none' },
};
