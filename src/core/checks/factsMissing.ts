import type { SheetPour } from '../plan/sheet';
import type { Check, Finding } from './finding';

/** Facts that some check would need; without them it can't say that all is well. */
const FACTS = {
  vanillin: 'whether it browns',
  allergens: 'which allergens it brings',
  origins: 'what it comes from',
} as const;
type Fact = keyof typeof FACTS;
const ALL = Object.keys(FACTS) as Fact[];

/** What nobody has entered, so that a check cannot tell. */
export const factsMissing: Check = {
  code: 'facts-missing',

  run: (sheet) => {
    const told = new Set<string>();
    return sheet.pours.flatMap((pour, pourIndex) =>
      missing(pour).flatMap(({ id, name, doseIndexes, facts }): Finding[] => {
        if (facts.length === 0 || told.has(id)) return [];
        told.add(id);
        return [
          {
            code: factsMissing.code,
            severity: 'note',
            pourIndex,
            doseIndexes,
            about: name,
            materialId: id,
            figures: Object.fromEntries(facts.map((fact) => [fact, 1])),
            assumed: false,
            mend: null,
          },
        ];
      }),
    );
  },

  say: ({ about, figures }) => ({
    title: `Cannot tell everything about ${about}`,
    reason: `The shelf does not know ${list(ALL.filter((fact) => figures[fact]).map((fact) => FACTS[fact]))}.`,
    mendLabel: null,
  }),
};

function list(words: string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

function missing({ base, lines }: SheetPour) {
  const origin = (of: { origins: unknown }): Fact[] => (of.origins === null ? ['origins'] : []);
  return [
    { id: base.id, name: base.name, doseIndexes: [], facts: origin(base) },
    ...lines
      .filter(({ massG, wets }) => massG > 0 && !wets)
      .map(({ material, doseIndex }) => ({
        id: material.id,
        name: material.name,
        doseIndexes: [doseIndex],
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
