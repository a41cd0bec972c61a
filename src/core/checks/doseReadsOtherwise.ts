import type { Check } from './finding';

/** A dose whose text would be read otherwise now: what it meant when it was typed is what counts. */
export const doseReadsOtherwise: Check = {
  code: 'dose-reads-otherwise',

  run: (sheet) =>
    sheet.pours.flatMap(({ readOtherwise }, pourIndex) =>
      readOtherwise.map(({ doseIndex, name, text }) => ({
        code: doseReadsOtherwise.code,
        severity: 'note' as const,
        pourIndex,
        doseIndexes: [doseIndex],
        about: name,
        text,
        figures: {},
        assumed: false,
        mend: null,
      })),
    ),

  say: ({ about, text = '' }) => ({
    title: `“${text}” of ${about} means what it meant when it was typed`,
    reason: 'It would be read otherwise now. Type it anew to have it read so.',
    mendLabel: null,
  }),
};
