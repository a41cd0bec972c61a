import { doseLines } from './doseLines';
import type { Check } from './finding';

/** Food colouring: refused, or only warned of when the house rules say so. */
export const foodColour: Check = {
  code: 'food-colour',

  run: (sheet, { rules }) =>
    doseLines(sheet)
      .filter(({ line: { material } }) => material.kind === 'colorant' && material.form === 'food')
      .map(({ line, pourIndex }) => ({
        code: foodColour.code,
        severity: rules.foodColour === 'refuse' ? 'stop' : 'caution',
        pourIndex,
        doseIndexes: [line.doseIndex],
        about: line.material.name,
        figures: {},
        assumed: false,
        mend: [{ edit: 'remove-dose', pourIndex, doseIndex: line.doseIndex }],
      })),

  say: ({ about, severity }) => ({
    title: `${about} is food colouring`,
    reason: `It moves into the layers beside it and stains skin and cloth.${severity === 'stop' ? ' The house rules refuse it; they can lower this to a caution.' : ''}`,
    mendLabel: 'Take it out',
  }),
};
