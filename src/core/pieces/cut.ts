import type { z } from '../zod';
import type { cutSchema } from './cutSchema';

/** A loaf or slab as it came out of its mold, or pieces that are made smaller. */
export const CUTS_OF = ['blocks', 'pieces'] as const;

/** Into equal bars, along score lines, or into uneven chunks. */
export const CUT_WAYS = ['equal', 'score-lines', 'by-eye'] as const;

export type CutOf = (typeof CUTS_OF)[number];
export type CutWay = (typeof CUT_WAYS)[number];
export type CutSaid = z.infer<typeof cutSchema>;
/** A cut with its moment, ISO 8601. */
export type Cut = CutSaid & { at: string };

/** What a round gives by the sheet. */
export interface RoundGives {
  /** Cavities that were filled; the last may be in part. */
  blocks: number;
  pieces: number;
}

/** Pieces of a round, by the sheet and by what was cut: a block gives what it was cut into, a piece likewise. */
export function piecesAfter({ blocks, pieces }: RoundGives, cuts: readonly CutSaid[]): number {
  const each = blocks > 0 ? pieces / blocks : 0;
  return cuts.reduce(
    (sum, { of, count, into }) => sum + into - (of === 'blocks' ? Math.min(count * each, pieces) : count),
    pieces,
  );
}

/** Blocks that nobody said to be cut. */
export function uncutBlocks({ blocks }: Pick<RoundGives, 'blocks'>, cuts: readonly CutSaid[]): number {
  const cut = cuts.reduce((sum, { of, count }) => sum + (of === 'blocks' ? count : 0), 0);
  return Math.max(0, Math.ceil(blocks - 1e-9) - cut);
}
