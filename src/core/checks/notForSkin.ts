import type { Check } from './finding';

/** A material its supplier does not release for skin: a candle fragrance, a candle dye. */
export const notForSkin: Check = {
  code: 'not-for-skin',

  run: (sheet) =>
    sheet.pours.flatMap((pour, pourIndex) =>
      pour.lines
        .filter((line) => line.material.skin === 'not-released')
        .map((line) => ({
          code: notForSkin.code,
          severity: 'stop',
          pourIndex,
          doseIndexes: [line.doseIndex],
          about: line.material.name,
          figures: {},
          assumed: false,
          mend: [{ edit: 'remove-dose', pourIndex, doseIndex: line.doseIndex }],
        })),
    ),

  say: ({ about }) => ({
    title: `${about} is not released for skin`,
    reason: 'Its supplier releases it for other uses only. It must not go into soap, however little.',
    mendLabel: 'Take it out',
  }),
};
