import { type SheetPour, weighedLines } from '../plan/sheet';
import type { Check, Found, FoundOf } from './finding';
import { ownDoses } from './timesDoses';

type Fact = FoundOf<'facts-missing'>['facts'][number];

/** What nobody has entered, so that a check cannot tell. */
export const factsMissing: Check = (sheet) => {
  const told = new Set<string>();
  return sheet.pours.flatMap((pour, pourIndex) =>
    missing(pour).flatMap(({ id, name, doseIndexes, facts }): Found[] => {
      if (facts.length === 0 || told.has(id)) return [];
      told.add(id);
      return [
        {
          code: 'facts-missing',
          severity: 'note',
          pourIndex,
          doseIndexes,
          about: name,
          materialId: id,
          facts,
          assumed: false,
          fix: null,
        },
      ];
    }),
  );
};

function missing(pour: SheetPour) {
  const { base } = pour;
  const origin = (of: { origins: unknown }): Fact[] => (of.origins === null ? ['origins'] : []);
  return [
    { id: base.id, name: base.name, doseIndexes: [], facts: origin(base) },
    ...[...weighedLines(pour), ...pour.inherited]
      .filter(({ massG, wets }) => massG > 0 && !wets)
      .map((line) => ({ material: line.material, doseIndexes: ownDoses([line]) }))
      .map(({ material, doseIndexes }) => ({
        id: material.id,
        name: material.name,
        doseIndexes,
        facts: [
          ...(material.kind === 'fragrance' && material.vanillinOfMaterial === null
            ? (['vanillin'] as const)
            : []),
          ...(material.kind === 'fragrance' && material.allergens === null ? (['allergens'] as const) : []),
          ...origin(material),
        ],
      })),
  ];
}
