import type { Sheet } from '../../../core/plan/sheet';
import { type Showing, showNumber } from '../../../core/units/showQuantity';
import type { PartOfSheet } from '../../../core/work/rounds';
import { counted } from '../plural';
import { inclusionAmount } from './inclusionAmount';

/**
 * How to set in what is set into a pour of one round: fillings before it is poured, pieces after. Common practice, no
 * source.
 */
export function inclusionWords(
  { pours }: Pick<Sheet, 'pours'>,
  part: PartOfSheet,
  { pourIndexes, embedIndexes }: { pourIndexes: readonly number[]; embedIndexes: readonly number[] },
  showing: Showing,
): string {
  const pour = pours[pourIndexes[0] ?? 0];
  const own = (pour?.embeds ?? []).filter(({ embedIndex }) => embedIndexes.includes(embedIndex));
  return own
    .map((embed) => {
      const amount = inclusionAmount(embed, part, showing);
      if (embed.perPiece === null)
        return `Share ${amount} of ${embed.name} out over ${counted(Math.ceil(part.cavities), 'cavity', 'cavities')}, cold and spritzed.`;
      const depth =
        embed.bottomMm === null
          ? ''
          : `, its foot ${showNumber(embed.bottomMm, 0, showing.locale)} mm above the floor`;
      return `Set in ${embed.perPiece} of ${embed.name} a cavity, ${amount} in all${depth}. Spritz them first and hold them until the base does.`;
    })
    .join(' ');
}
