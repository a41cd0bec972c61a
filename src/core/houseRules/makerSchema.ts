import { z } from '../zod';

/** Who stands behind what is sold, as labels say it. */
export const makerSchema = z.strictObject({
  name: z.string().trim().max(120),
  address: z.string().trim().max(200),
  /** For reports of what was not borne: a telephone number, or an address on the network. */
  contact: z.string().trim().max(120),
});
