import type { Check } from './finding';

/** A dose whose text would be read otherwise now: what it meant when it was typed is what counts. */
export const doseReadsOtherwise: Check = (sheet) =>
  sheet.pours.flatMap(({ readOtherwise }, pourIndex) =>
    readOtherwise.map(({ doseIndex, name, text }) => ({
      code: 'dose-reads-otherwise',
      severity: 'note' as const,
      pourIndex,
      doseIndexes: [doseIndex],
      about: name,
      text,
      assumed: false,
      fix: null,
    })),
  );
