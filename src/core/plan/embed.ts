import type { HeatOfBase } from '../materials/base';
import { DEFAULT_BASE_DENSITY_G_PER_ML } from '../materials/defaults';
import type { Material } from '../materials/material';
import type { Held } from '../materials/scrap';
import type { z } from '../zod';
import type { embedSchema, fromSchema, madePieceSchema } from './embedSchema';
import type { PieceSize } from './pieceSize';

export type Embed = z.infer<typeof embedSchema>;

export type EmbedSource = z.infer<typeof fromSchema>;

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
  /** What scrap holds; null where nobody knows, and of pieces. */
  holds: Held[] | null;
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
  // A part of a piece; a size that is said is its own.
  const parts = embed.size ? 1 : (embed.partsOfOne ?? 1);
  const volumeMl = (size.by === 'mass' ? size.massG / density : volumeOf(size)) / parts;
  return {
    id: named.id,
    name: named.name,
    kind: named.kind,
    massG: size.by === 'mass' ? size.massG / parts : volumeMl * density,
    volumeMl,
    heightMm:
      embed.heightMm ?? (parts > 1 ? null : (heightOf(size) ?? (embed.size ? null : source.heightMm))),
    widthMm: size.by === 'box' ? size.lengthMm : size.by === 'ball' ? size.diameterMm : null,
    isBall: size.by === 'ball',
    colour: named.colour,
    ofBase: named.ofBase,
    holds: named.holds,
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
      holds: null,
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
      holds: material.holds,
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
    holds: null,
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
