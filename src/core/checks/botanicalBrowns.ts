import { doseLines } from './doseLines';
import type { Check } from './finding';

/** Petals and leaves lose their colour. From memory: green and purple ones first. */
export const botanicalBrowns: Check = {
  code: 'botanical-browns',

  run: (sheet) =>
    doseLines(sheet)
      .filter(({ line: { material } }) => material.kind === 'additive' && material.role === 'botanical')
      .map(({ line, pourIndex }) => ({
        code: botanicalBrowns.code,
        severity: 'note',
        pourIndex,
        doseIndexes: [line.doseIndex],
        about: line.material.name,
        figures: {},
        assumed: false,
        mend: null,
      })),

  say: ({ about }) => ({
    title: `${about} may brown`,
    reason:
      'Petals and leaves lose their colour in soap within weeks, green and purple ones first; yellow and orange ones mostly keep it.',
    mendLabel: null,
  }),
};
