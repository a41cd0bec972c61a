import { ORIGINS } from '../materials/fields';
import { inProduct } from '../plan/sheet';
import type { Check, Found } from './finding';

/** What comes from something that a person may not bear or not want. */
export const origins: Check = (sheet) =>
  ORIGINS.flatMap((origin): Found[] => {
    const from = new Set<string>();
    for (const pour of sheet.pours)
      for (const material of [
        pour.base,
        ...(pour.remelt?.bases ?? []),
        ...inProduct(pour).map((line) => line.material),
      ])
        if (material.origins?.includes(origin)) from.add(material.name);
    if (from.size === 0) return [];
    return [
      {
        code: 'origins',
        severity: 'note',
        pourIndex: null,
        doseIndexes: [],
        about: [...from].join(', '),
        origin,
        assumed: false,
        fix: null,
      },
    ];
  });
