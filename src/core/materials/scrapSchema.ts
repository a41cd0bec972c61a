import { z } from '../zod';
import { unknownOr } from './fields';
import { common, density, fraction, hexColour, materialId, nameText } from './fieldsSchema';
import { HELD_KINDS } from './scrap';

/** One material in what was melted before, as a fraction of its mass. */
export const heldSchema = z.strictObject({
  materialId,
  name: nameText(120),
  kind: z.enum(HELD_KINDS),
  ofScrap: fraction,
});

/** What is in the scrap jar: offcuts and leftover melt of one kind, by weight. */
export const scrapSchema = z.strictObject({
  ...common,
  kind: z.literal('scrap'),
  densityGPerMl: density,
  colour: unknownOr(hexColour),
  /** What was weighed into it; null where nobody knows. */
  holds: unknownOr(z.array(heldSchema).min(1).max(200)).default(null),
  /** How often the oldest of it was melted: each time it lost water that nobody weighed. */
  melts: z.int().min(1).max(100).default(1),
});
