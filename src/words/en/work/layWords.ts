import { type Sheet, weighedLines } from '../../../core/plan/sheet';
import type { Showing } from '../../../core/units/showQuantity';
import { partOfRound, wholeSheet } from '../../../core/work/rounds';
import type { TaskOf } from '../../../core/work/task';
import { listed } from '../plural';
import { showAmountOut } from '../units/showCount';
import { pourLetters } from './pourLetters';

/** What is laid where, and how: “Strew 6.00 g Calendula on the floor of the mold”. */
export function layWords(
  { pourIndexes, lineIndexes, where, pressed, round }: TaskOf<'lay'>,
  sheet: Sheet,
  showing: Showing,
): string {
  const [pourIndex = 0] = pourIndexes;
  const pour = sheet.pours[pourIndex];
  if (!pour) return '';
  const lines = weighedLines(pour);
  const share = partOfRound(sheet, round).cavities / wholeSheet(sheet).cavities;
  const what = listed(
    lineIndexes.flatMap((index) => {
      const line = lines[index];
      return line
        ? [`${showAmountOut(line.counted, line.massG * share, showing)} ${line.material.name}`]
        : [];
    }),
  );
  const letter = pourLetters(pourIndexes);
  const press = pressed ? ' Press it down lightly.' : '';
  switch (where) {
    case 'under':
      return `Lay ${what} ${pourIndex === 0 ? 'on the floor of the mold' : `on what is poured, under ${letter}`}, evenly over the cavities.${press}`;
    case 'between-goes':
      return `Have ${what} at hand: it goes between the goes of ${letter}, evenly over the cavities.${press}`;
    case 'on-liquid':
      return `Lay ${what} on ${letter} while it is liquid, evenly over the cavities.${press}`;
    case 'on-skin':
      return `Lay ${what} on ${letter} once its skin carries, evenly over the cavities.${press}`;
  }
}
