import type { Embed, EmbedPiece } from './embed';

/** An embed with its piece; null while what it comes from is not known. */
export interface PlacedEmbed {
  embed: Embed;
  piece: EmbedPiece | null;
}

/** Where a pour lies in one cavity, as far as it matters to what is set into it. */
interface Lying {
  volumeMl: number;
  fromMm: number | null;
  toMm: number | null;
  /** Pours that lie beside one another share a slot. */
  slot: number;
}

/**
 * What is set into the pours displaces base: mL in one cavity, by pour.
 *
 * A piece is taken to be as thick all the way up, so that the part of its height that lies in a pour is the part of its
 * volume. What stands out of a pour lies in the pours above; what stands out of the last is in the air.
 */
export function displacedMl(placed: readonly (readonly PlacedEmbed[])[], lying: readonly Lying[]): number[] {
  const sums = lying.map(() => 0);
  const add = (pour: number, volumeMl: number) => {
    if (pour < sums.length) sums[pour] = (sums[pour] ?? 0) + volumeMl;
  };
  placed.forEach((embeds, pourIndex) => {
    const own = lying[pourIndex];
    if (!own) return;
    for (const { embed, piece } of embeds) {
      if (embed.as === 'filling') add(pourIndex, embed.ofRoom * own.volumeMl);
      else if (piece) {
        const volumeMl = piece.volumeMl * embed.perPiece;
        for (const [pour, share] of sharesByPour(embed, piece.heightMm, pourIndex, lying))
          add(pour, volumeMl * share);
      }
    }
  });
  return sums;
}

type Pieces = Extract<Embed, { as: 'pieces' }>;

function sharesByPour(
  embed: Pieces,
  heightMm: number | null,
  pourIndex: number,
  lying: readonly Lying[],
): [pour: number, share: number][] {
  const own = lying[pourIndex];
  if (!own || heightMm === null) return [[pourIndex, 1]];
  const nextSlot = lying.findIndex(({ slot }) => slot > own.slot);
  if (own.fromMm === null || own.toMm === null) {
    const out = Math.min(1, embed.standsOutMm / heightMm);
    return [[pourIndex, 1 - out], ...(nextSlot < 0 ? [] : [[nextSlot, out] as [number, number]])];
  }
  const { bottomMm, topMm } = standing(embed, heightMm, own.fromMm, own.toMm);
  const within = (fromMm: number, toMm: number) =>
    Math.max(0, Math.min(topMm, toMm) - Math.max(bottomMm, fromMm)) / heightMm;
  const shares: [number, number][] = [[pourIndex, within(Number.NEGATIVE_INFINITY, own.toMm)]];
  lying.forEach(({ fromMm, toMm, slot }, pour) => {
    const isLead = lying.findIndex((other) => other.slot === slot) === pour;
    if (slot > own.slot && isLead && fromMm !== null && toMm !== null)
      shares.push([pour, within(fromMm, toMm)]);
  });
  return shares;
}

/** Where a piece stands in the cavity, mm above its floor. */
export function standing(
  { liftMm, standsOutMm }: Pick<Pieces, 'liftMm' | 'standsOutMm'>,
  heightMm: number,
  fromMm: number,
  toMm: number,
): { bottomMm: number; topMm: number } {
  const bottomMm = standsOutMm > 0 ? Math.max(fromMm, toMm + standsOutMm - heightMm) : fromMm + liftMm;
  return { bottomMm, topMm: bottomMm + heightMm };
}
