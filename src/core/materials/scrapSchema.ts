import { z } from '../zod';
import { unknownOr } from './fields';
import { common, density, hexColour } from './fieldsSchema';

/** What is in the scrap jar: offcuts and leftover melt of one kind, by weight. */
export const scrapSchema = z.strictObject({
  ...common,
  kind: z.literal('scrap'),
  densityGPerMl: density,
  colour: unknownOr(hexColour),
});
