import { type HeatOfBase, heatOfBaseSchema } from '../materials/base';
import { DEFAULT_BASE_DENSITY_G_PER_ML } from '../materials/defaults';
import { hexColour } from '../materials/fields';
import type { Material } from '../materials/material';
import { z } from '../zod';
import { type PieceSize, pieceSizeSchema } from './pieceSize';

/** Where a piece comes from: another plan, made ahead, or the shelf's scrap jar and bought pieces. */
const fromSchema = z.discriminatedUnion('is', [
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
  z.strictObject({ id, ...PIECES_FIELDS }),
  z.strictObject({ id, ...FILLING_FIELDS }),
]);

export type Embed = z.infer<typeof embedSchema>;
export type EmbedSource = z.infer<typeof fromSchema>;

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

export type MadePiece = z.infer<typeof madePieceSchema>;

/** One piece of an embed in figures, and what it is called. */
export interface EmbedPiece {
  id: string;
  name: string;
  kind: 'plan' | 'scrap' | 'piece';
  /** g and mL of one; of a filling, of one millilitre of it. */
  massG: number;
  volumeMl: number;
  heightMm: number | null;
  /** How long it is the way it is looked at; null when only its weight or volume is known. */
  widthMm: number | null;
  isBall: boolean;
  colour: string | null;
  /** What it is of; null where nobody knows. */
  ofBase: HeatOfBase | null;
  /** Its density is a stand-in. */
  assumed: boolean;
}

/** What an embed's piece weighs and takes up; null when what it comes from is not known, or has no size. */
export function embedPiece(
  embed: Embed,
  materials: ReadonlyMap<string, Material>,
  made: readonly MadePiece[],
): EmbedPiece | null {
  const source = sourceOf(embed.from, materials, made);
  if (!source) return null;
  const { densityGPerMl: density, assumed, ...named } = source;
  if (embed.as === 'filling') {
    return { ...named, massG: density, volumeMl: 1, heightMm: null, widthMm: null, isBall: false, assumed };
  }
  const size = embed.size ?? source.size;
  if (!size) return null;
  const volumeMl = size.by === 'mass' ? size.massG / density : volumeOf(size);
  return {
    id: named.id,
    name: named.name,
    kind: named.kind,
    massG: size.by === 'mass' ? size.massG : volumeMl * density,
    volumeMl,
    heightMm: embed.heightMm ?? heightOf(size) ?? (embed.size ? null : source.heightMm),
    widthMm: size.by === 'box' ? size.lengthMm : size.by === 'ball' ? size.diameterMm : null,
    isBall: size.by === 'ball',
    colour: named.colour,
    ofBase: named.ofBase,
    assumed,
  };
}

interface Source extends Omit<EmbedPiece, 'massG' | 'volumeMl' | 'widthMm' | 'isBall'> {
  densityGPerMl: number;
  /** One of them, when nothing else is said. */
  size: PieceSize | null;
}

function sourceOf(
  from: EmbedSource,
  materials: ReadonlyMap<string, Material>,
  made: readonly MadePiece[],
): Source | null {
  if (from.is === 'plan') {
    const piece = made.find(({ planId }) => planId === from.planId);
    if (!piece) return null;
    return {
      id: piece.planId,
      name: piece.name,
      kind: 'plan',
      ...bulk(piece),
      heightMm: piece.heightMm,
      colour: piece.colour,
      ofBase: piece.ofBase,
    };
  }
  const material = materials.get(from.materialId);
  if (material?.kind === 'scrap') {
    const density = material.densityGPerMl;
    return {
      id: material.id,
      name: material.name,
      kind: 'scrap',
      densityGPerMl: density ?? DEFAULT_BASE_DENSITY_G_PER_ML,
      size: null,
      heightMm: null,
      colour: material.colour,
      ofBase: null,
      assumed: density === null,
    };
  }
  if (material?.kind !== 'piece') return null;
  return {
    id: material.id,
    name: material.name,
    kind: 'piece',
    ...bulk(material),
    heightMm: material.heightMm,
    colour: null,
    ofBase: null,
  };
}

/** Density and size of one, as far as they are known. */
function bulk({
  pieceG,
  pieceMl,
}: Pick<MadePiece, 'pieceG' | 'pieceMl'>): Pick<Source, 'densityGPerMl' | 'size' | 'assumed'> {
  const isWhole = pieceG !== null && pieceMl !== null;
  const byVolume: PieceSize | null = pieceMl === null ? null : { by: 'volume', volumeMl: pieceMl };
  return {
    densityGPerMl: isWhole ? pieceG / pieceMl : DEFAULT_BASE_DENSITY_G_PER_ML,
    size: pieceG === null ? byVolume : { by: 'mass', massG: pieceG },
    assumed: !isWhole,
  };
}

function volumeOf(size: Exclude<PieceSize, { by: 'mass' }>): number {
  switch (size.by) {
    case 'volume':
      return size.volumeMl;
    case 'box':
      return (size.lengthMm * size.widthMm * size.heightMm) / 1000;
    case 'ball':
      return (Math.PI * size.diameterMm ** 3) / 6 / 1000;
  }
}

function heightOf(size: PieceSize): number | null {
  if (size.by === 'box') return size.heightMm;
  return size.by === 'ball' ? size.diameterMm : null;
}
