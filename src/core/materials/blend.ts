import type { z } from '../zod';
import type { blendSchema } from './blendSchema';
import type { SKIN_RELEASES } from './fields';
import type { Allergen, Fragrance } from './fragrance';

export type Blend = z.infer<typeof blendSchema>;

/** A fragrance and its share of a blend's weight; the shares of a blend add up to one. */
export interface BlendShare {
  material: Fragrance;
  share: number;
}

type Records = ReadonlyMap<string, { id: string; kind: string }>;

/** Why a blend can't be taken apart. */
export type BlendFault = { memberIndex: number; why: 'unknown' | 'not-a-fragrance' | 'nested-too-deep' };

/** Looks a blend's members up: each a fragrance, or a blend whose members all are. */
export function blendFaults(blend: Pick<Blend, 'members'>, records: Records, depth = 0): BlendFault[] {
  return blend.members.flatMap(({ materialId: id }, memberIndex): BlendFault[] => {
    const member = records.get(id) as Blend | Fragrance | undefined;
    if (member === undefined) return [{ memberIndex, why: 'unknown' }];
    if (member.kind === 'fragrance') return [];
    if (member.kind !== 'blend') return [{ memberIndex, why: 'not-a-fragrance' }];
    if (depth > 0) return [{ memberIndex, why: 'nested-too-deep' }];
    const inner = blendFaults(member, records, depth + 1)[0];
    return inner ? [{ memberIndex, why: inner.why }] : [];
  });
}

/**
 * The fragrances of a blend and their shares by weight, a nested blend taken apart and doubles put together.
 *
 * @throws RangeError when {@link blendFaults} finds any
 * @example parts 2 of A and 1 of B: shares 2/3 and 1/3
 */
export function blendShares(blend: Pick<Blend, 'members' | 'name'>, records: Records): BlendShare[] {
  if (blendFaults(blend, records).length > 0)
    throw new RangeError(`the blend “${blend.name}” can’t be taken apart`);
  const all = blend.members.reduce((sum, { parts }) => sum + parts, 0);
  const shares = new Map<string, BlendShare>();
  const add = (material: Fragrance, share: number) => {
    const known = shares.get(material.id);
    shares.set(material.id, { material, share: (known?.share ?? 0) + share });
  };
  for (const { materialId: id, parts } of blend.members) {
    const member = records.get(id) as Blend | Fragrance;
    if (member.kind === 'fragrance') add(member, parts / all);
    else for (const inner of blendShares(member, records)) add(inner.material, (inner.share * parts) / all);
  }
  return [...shares.values()];
}

/** Gravest first: a blend is as restricted as its worst member. */
const GRAVITY: readonly (typeof SKIN_RELEASES)[number][] = [
  'not-released',
  'candle-only',
  'unknown',
  'released',
];

/**
 * A blend told as one fragrance: its limit is the tightest of its members' limits divided by their shares, its
 * allergens and vanillin are theirs at their shares, and what is unknown of one member is unknown of the blend.
 */
export function blendAsFragrance(blend: Blend, records: Records): Fragrance {
  const shares = blendShares(blend, records);
  const materials = shares.map(({ material }) => material);
  return {
    ...blend,
    kind: 'fragrance',
    fragranceKind: materials.every(({ fragranceKind }) => fragranceKind === 'essential-oil')
      ? 'essential-oil'
      : 'fragrance-oil',
    skin: GRAVITY.find((skin) => materials.some((material) => material.skin === skin)) ?? 'unknown',
    densityGPerMl: inverse(known(shares, ({ material, share }) => over(share, material.densityGPerMl))),
    maxOfProduct: tightest(shares),
    maxByUse: null,
    usualLeastOfBase: null,
    usualMostOfBase: null,
    vanillinOfMaterial: known(shares, ({ material, share }) => times(share, material.vanillinOfMaterial)),
    allergens: blendAllergens(shares),
  };
}

const over = (share: number, figure: number | null) => (figure === null ? null : share / figure);

const inverse = (figure: number | null) => (figure === null ? null : 1 / figure);

const times = (share: number, figure: number | null) => (figure === null ? null : share * figure);

/** The sum over all members, or null when one of them is unknown. */
function known(shares: BlendShare[], figure: (share: BlendShare) => number | null): number | null {
  let sum = 0;
  for (const share of shares) {
    const one = figure(share);
    if (one === null) return null;
    sum += one;
  }
  return sum;
}

function tightest(shares: BlendShare[]): number | null {
  let limit: number | null = 1;
  for (const { material, share } of shares) {
    if (material.maxOfProduct === null) return null;
    limit = Math.min(limit, material.maxOfProduct / share);
  }
  return limit;
}

function blendAllergens(shares: BlendShare[]): Allergen[] | null {
  const sums = new Map<string, number>();
  for (const { material, share } of shares) {
    if (material.allergens === null) return null;
    for (const { name, ofMaterial } of material.allergens)
      sums.set(name, (sums.get(name) ?? 0) + share * ofMaterial);
  }
  return [...sums]
    .map(([name, ofMaterial]) => ({ name, ofMaterial }))
    .sort((a, b) => b.ofMaterial - a.ofMaterial);
}
