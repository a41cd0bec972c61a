import type { DoseableMaterial } from '../materials/material';
import { fail, ok, type Result } from '../result';

export const RELATION_FAULTS = [
  'relation-to-nothing',
  'relation-to-several',
  'relation-without-end',
] as const;
export type RelationFault = (typeof RELATION_FAULTS)[number];

export function isRelationFault(why: string): why is RelationFault {
  return (RELATION_FAULTS as readonly string[]).includes(why);
}

interface NamedDose {
  doseIndex: number;
  material: DoseableMaterial;
}

const FRAGRANCES: readonly DoseableMaterial['kind'][] = ['fragrance', 'blend'];
const COLORANTS: readonly DoseableMaterial['kind'][] = ['colorant'];

/** Words that stand for all doses of a kind. */
const KIND_WORDS: ReadonlyMap<string, readonly DoseableMaterial['kind'][]> = new Map([
  ['fragrance', FRAGRANCES],
  ['fragrances', FRAGRANCES],
  ['scent', FRAGRANCES],
  ['colour', COLORANTS],
  ['color', COLORANTS],
  ['colorant', COLORANTS],
  ['colorants', COLORANTS],
]);

/**
 * The doses of a pour that a relation such as `= fragrance` or `2x honey` speaks of.
 *
 * A kind's word means all doses of that kind together. A name means the one material that is called so, or the
 * only one whose name begins so, or the only one that has it in its name.
 *
 * @param of what stands behind the sign
 * @param self the dose that relates; it never means itself
 * @returns places of doses, or why it can't be told which
 */
export function relatedDoses(
  of: string,
  self: number,
  doses: readonly NamedDose[],
): Result<number[], RelationFault> {
  const others = doses.filter(({ doseIndex }) => doseIndex !== self);
  const wanted = of.toLowerCase();
  const kinds = KIND_WORDS.get(wanted);
  if (kinds) {
    const ofKind = others.filter(({ material }) => kinds.includes(material.kind));
    return ofKind.length > 0 ? ok(ofKind.map(({ doseIndex }) => doseIndex)) : fail('relation-to-nothing');
  }
  const matches: ((name: string) => boolean)[] = [
    (name) => name === wanted,
    (name) => name.startsWith(wanted),
    (name) => name.includes(wanted),
  ];
  for (const fits of matches) {
    const found = others.filter(({ material }) => fits(material.name.toLowerCase()));
    const [only] = found;
    if (found.length > 1) return fail('relation-to-several');
    if (only) return ok([only.doseIndex]);
  }
  return fail('relation-to-nothing');
}
