import { z } from '../zod';
import { common, density, hexColour, unknownOr } from './fields';

/** What is in the scrap jar: offcuts and leftover melt of one kind, by weight. */
export const scrapSchema = z.strictObject({
  ...common,
  kind: z.literal('scrap'),
  densityGPerMl: density,
  colour: unknownOr(hexColour),
});

export type Scrap = z.infer<typeof scrapSchema>;
