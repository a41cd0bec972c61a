import { z } from '../zod';
import { additiveSchema } from './additiveSchema';
import { baseSchema } from './baseSchema';
import { blendSchema } from './blendSchema';
import { colorantSchema } from './colorantSchema';
import { dispersantSchema } from './dispersantSchema';
import { fragranceSchema } from './fragranceSchema';
import { packagingSchema } from './packagingSchema';
import { checkShares } from './packShares';
import { pieceSchema } from './pieceSchema';
import { scrapSchema } from './scrapSchema';

/** What is weighed into a jug by itself. A blend is weighed as its members. */
export const dosedMaterialSchema = z.discriminatedUnion('kind', [
  fragranceSchema,
  colorantSchema,
  additiveSchema,
  dispersantSchema,
]);

export const materialSchema = z
  .discriminatedUnion('kind', [
    baseSchema,
    fragranceSchema,
    blendSchema,
    colorantSchema,
    additiveSchema,
    dispersantSchema,
    scrapSchema,
    pieceSchema,
    packagingSchema,
  ])
  .superRefine(checkShares);

/** A record that has no id yet. */
export const newMaterialSchema = z
  .discriminatedUnion('kind', [
    baseSchema.omit({ id: true }),
    fragranceSchema.omit({ id: true }),
    blendSchema.omit({ id: true }),
    colorantSchema.omit({ id: true }),
    additiveSchema.omit({ id: true }),
    dispersantSchema.omit({ id: true }),
    scrapSchema.omit({ id: true }),
    pieceSchema.omit({ id: true }),
    packagingSchema.omit({ id: true }),
  ])
  .superRefine(checkShares);
