import type { z } from '../zod';
import type { heldSchema, scrapSchema } from './scrapSchema';

/** Of what is held: a base, what was dosed into it, or a piece that was set in and is no soap of ours. */
export const HELD_KINDS = ['base', 'dose', 'piece'] as const;

export type Held = z.infer<typeof heldSchema>;

export type Scrap = z.infer<typeof scrapSchema>;

/** Something with its mass, g, and what it holds; null where nobody knows. */
export interface Portion {
  massG: number;
  holds: readonly Held[] | null;
}

/** Each material once, as fractions of all that is known; the most first. */
export function shares(parts: readonly (Omit<Held, 'ofScrap'> & { massG: number })[]): Held[] {
  const sums = new Map<string, Omit<Held, 'ofScrap'> & { massG: number }>();
  for (const part of parts) {
    const before = sums.get(part.materialId)?.massG ?? 0;
    sums.set(part.materialId, { ...part, massG: before + part.massG });
  }
  const allG = [...sums.values()].reduce((sum, { massG }) => sum + massG, 0);
  return [...sums.values()]
    .filter(({ massG }) => massG > 0)
    .map(({ materialId, name, kind, massG }) => ({ materialId, name, kind, ofScrap: massG / allG }))
    .sort((a, b) => b.ofScrap - a.ofScrap);
}

/** What two portions hold once they are in one jar; null where nobody knows it of one of them. */
export function mixed(one: Portion, other: Portion): Held[] | null {
  const parts = [one, other].filter(({ massG }) => massG > 0);
  const massed = parts.map(({ massG, holds }) =>
    holds?.map(({ ofScrap, ...held }) => ({ ...held, massG: ofScrap * massG })),
  );
  return massed.some((each) => !each) ? null : shares(massed.flatMap((each) => each ?? []));
}

/** What is left of a portion once a part of it is taken out; null where nobody knows what either of them holds. */
export function unmixed(all: Portion, part: Portion): Held[] | null {
  if (!all.holds || !part.holds || !(all.massG > part.massG)) return null;
  const taken = new Map(part.holds.map(({ materialId, ofScrap }) => [materialId, ofScrap * part.massG]));
  const left = all.holds.map(({ ofScrap, ...held }) => ({
    ...held,
    massG: Math.max(0, ofScrap * all.massG - (taken.get(held.materialId) ?? 0)),
  }));
  return shares(left.filter(({ massG }) => massG > all.massG * CRUMB));
}

/** Less of a whole is what is left of adding and taking off. */
const CRUMB = 1e-9;
