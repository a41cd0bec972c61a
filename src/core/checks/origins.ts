import { ORIGINS } from '../materials/fields';
import type { Check, Finding } from './finding';

const NAMES: Record<(typeof ORIGINS)[number], string> = {
  nut: 'nuts',
  soy: 'soy',
  milk: 'milk',
  cereal: 'cereals',
  bee: 'bees',
  animal: 'animals',
};

/** What comes from something that a person may not bear or not want. */
export const origins: Check = {
  code: 'origins',

  run: (sheet) =>
    ORIGINS.flatMap((origin): Finding[] => {
      const from = new Set<string>();
      for (const pour of sheet.pours)
        for (const material of [pour.base, ...pour.lines.map((line) => line.material)])
          if (material.origins?.includes(origin)) from.add(material.name);
      if (from.size === 0) return [];
      return [
        {
          code: origins.code,
          severity: 'note',
          pourIndex: null,
          doseIndexes: [],
          about: [...from].join(', '),
          figures: { origin: ORIGINS.indexOf(origin) },
          assumed: false,
          mend: null,
        },
      ];
    }),

  say: ({ about, figures: { origin = 0 } }) => ({
    title: `Comes from ${NAMES[ORIGINS[origin] ?? 'nut']}: ${about}`,
    reason: 'Tell whoever gets the bar.',
    mendLabel: null,
  }),
};
