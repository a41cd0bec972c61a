import type { Check } from './finding';

/** A dose whose text can't be read, or that has nothing to begin with, so it is in no figure of the sheet. */
export const doseUnreadable: Check = (sheet) =>
  sheet.pours.flatMap((pour, pourIndex) =>
    pour.unreadable
      .filter(({ why }) => why === 'text' || why === 'no-usual-least' || why === 'laid-share')
      .map(({ doseIndex, material, text, why }) => ({
        code: 'dose-unreadable',
        severity: 'stop',
        pourIndex,
        doseIndexes: [doseIndex],
        about: material.name,
        text,
        isLaid: why === 'laid-share',
        assumed: false,
        fix: null,
      })),
  );
