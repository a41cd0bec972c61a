import { heatOfBaseSchema } from '../materials/baseSchema';
import { hexColour } from '../materials/fieldsSchema';
import { z } from '../zod';
import { pieceSizeSchema } from './pieceSizeSchema';

/** Where a piece comes from: another plan, made ahead, or the shelf's scrap jar and bought pieces. */
export const fromSchema = z.discriminatedUnion('is', [
  z.strictObject({ is: z.literal('plan'), planId: z.string().min(1).max(64) }),
  z.strictObject({ is: z.literal('shelf'), materialId: z.string().min(1).max(64) }),
]);

/** Pieces that are set in, one by one. */
export const PIECES_FIELDS = {
  as: z.literal('pieces'),
  from: fromSchema,
  /** In each cavity. */
  perPiece: z.int().min(1).max(500),
  /** Of one; null as the plan makes it, or as the shelf says. */
  size: pieceSizeSchema.nullable(),
  /** How high one stands; null when it is not known, and then it is wholly within its pour. */
  heightMm: z.number().min(0.5).max(500).nullable(),
  /** How far its underside is above the floor of its pour. */
  liftMm: z.number().min(0).max(500),
  /** How far it stands out of its pour. */
  standsOutMm: z.number().min(0).max(500),
};

/** Cubes or gratings that fill a share of the pour's room. */
export const FILLING_FIELDS = {
  as: z.literal('filling'),
  from: fromSchema,
  ofRoom: z.number().min(0.01).max(0.9),
};

const id = z.string().min(1).max(64);

/** What is set into a pour; its id stays the same while the plan is edited. */
export const embedSchema = z.discriminatedUnion('as', [
  z.strictObject({
    id,
    ...PIECES_FIELDS,
    /** Into how many parts each of them is cut before; left out where they go in whole. A size that is said is that of a part. */
    partsOfOne: z.int().min(2).max(100).optional(),
  }),
  z.strictObject({ id, ...FILLING_FIELDS }),
]);

/** A piece that another plan makes, as far as it matters to what it is set into. */
export const madePieceSchema = z.strictObject({
  planId: z.string().min(1).max(64),
  name: z.string().min(1).max(120),
  /** Both null while its plan has no sheet. */
  pieceG: z.number().positive().nullable(),
  pieceMl: z.number().positive().nullable(),
  /** How high it stands as it was poured; null where that is not known. */
  heightMm: z.number().positive().nullable(),
  /** What it looks like, all in all. */
  colour: hexColour.nullable(),
  /** The base that most of it is of; null while its plan has no sheet. */
  ofBase: heatOfBaseSchema.nullable().default(null),
  /** Its plan is set into itself, however far down, so it has no size. */
  isCircular: z.literal(true).optional(),
});
