import { z } from '../zod';

/** Whole units, then up to four digits: no currency of ISO 4217 has more. */
export const moneySchema = z.string().regex(/^\d{1,7}(\.\d{1,4})?$/, 'money');
