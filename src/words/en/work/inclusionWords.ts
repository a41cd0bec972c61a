import type { Sheet, SheetEmbed } from '../../../core/plan/sheet';
import { type Showing, showNumber } from '../../../core/units/showQuantity';
import { counted } from '../plural';
import { showAmount } from '../units/showAmount';

/** How many or how much of it for so many cavities: “24 pieces” together, or a weight for a filling. */
export function inclusionAmount(
  { perPiece, massG }: Pick<SheetEmbed, 'perPiece' | 'massG'>,
  { fills, of }: { fills: number; of: number },
  showing: Showing,
): string {
  return perPiece === null
    ? showAmount((massG * fills) / of, false, showing)
    : showAmount(perPiece * Math.ceil(fills), true, showing);
}

/**
 * How to set in what is set into a pour of one round: fillings before it is poured, pieces after. Common practice, no
 * source.
 */
export function inclusionWords(
  sheet: Pick<Sheet, 'pours' | 'fills'>,
  fills: number,
  { pourIndexes, embedIndexes }: { pourIndexes: readonly number[]; embedIndexes: readonly number[] },
  showing: Showing,
): string {
  const pour = sheet.pours[pourIndexes[0] ?? 0];
  const own = (pour?.embeds ?? []).filter(({ embedIndex }) => embedIndexes.includes(embedIndex));
  return own
    .map((embed) => {
      const amount = inclusionAmount(embed, { fills, of: sheet.fills }, showing);
      if (embed.perPiece === null)
        return `Share ${amount} of ${embed.name} out over ${counted(Math.ceil(fills), 'cavity', 'cavities')}, cold and spritzed.`;
      const depth =
        embed.bottomMm === null
          ? ''
          : `, its foot ${showNumber(embed.bottomMm, 0, showing.locale)} mm above the floor`;
      return `Set in ${embed.perPiece} of ${embed.name} a cavity, ${amount} in all${depth}. Spritz them first and hold them until the base does.`;
    })
    .join(' ');
}
