import type { SheetPour } from '../../../core/plan/sheet';

/** What its plan tells hands of each pour, as sentences; nothing where it tells none. */
export function pourNoteWords(
  pours: readonly Pick<SheetPour, 'note'>[],
  pourIndexes: readonly number[],
): string {
  return pourIndexes
    .map((index) => pours[index]?.note.trim() ?? '')
    .filter((note) => note !== '')
    .map((note) => (/[.!?…]$/.test(note) ? note : `${note}.`))
    .join(' ');
}
