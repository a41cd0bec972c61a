import type { Sheet, SheetEmbed } from '../plan/sheet';
import { type Showing, showAmount, showNumber } from '../units/showQuantity';

/** How many or how much of it: “24 pieces” for all bars together, or a weight for a filling. */
export function embedAmount(
  { perPiece, massG }: Pick<SheetEmbed, 'perPiece' | 'massG'>,
  pieces: number,
  showing: Showing,
): string {
  return perPiece === null ? showAmount(massG, false, showing) : showAmount(perPiece * pieces, true, showing);
}

/** How to set in what is set into a pour: fillings before it is poured, pieces after. Common practice, no source. */
export function embedWords(
  { pours, pieces }: Pick<Sheet, 'pours' | 'pieces'>,
  { pourIndex, embedIndexes }: { pourIndex: number; embedIndexes: readonly number[] },
  showing: Showing,
): string {
  const pour = pours[pourIndex];
  const own = (pour?.embeds ?? []).filter(({ embedIndex }) => embedIndexes.includes(embedIndex));
  const sentences = own.map((embed) => {
    const amount = embedAmount(embed, pieces, showing);
    if (embed.perPiece === null)
      return `Share ${amount} of ${embed.name} out over ${pieces} ${pieces === 1 ? 'cavity' : 'cavities'}, cold and spritzed.`;
    const depth =
      embed.bottomMm === null
        ? ''
        : `, its foot ${showNumber(embed.bottomMm, 0, showing.locale)} mm above the floor`;
    return `Set in ${embed.perPiece} of ${embed.name} a piece, ${amount} in all${depth}. Spritz them first and hold them until the base does.`;
  });
  return sentences.join(' ');
}
