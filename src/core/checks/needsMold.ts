import { hasMold } from '../molds/noMold';
import type { Check, Found } from './finding';
import { PLAIN } from './plain';

/** What is said for each piece, where no mold says how many there are. */
export const needsMold: Check = (sheet) => {
  if (hasMold(sheet)) return [];
  return sheet.pours.flatMap(({ unreadable, embeds }, pourIndex): Found[] => {
    const common = { ...PLAIN, code: 'needs-mold', severity: 'stop', pourIndex } as const;
    return [
      ...unreadable
        .filter(({ why }) => why === 'no-pieces')
        .map(({ material, doseIndex }) => ({ ...common, about: material.name, doseIndexes: [doseIndex] })),
      ...embeds.filter(({ perPiece }) => perPiece !== null).map(({ name }) => ({ ...common, about: name })),
    ];
  });
};
