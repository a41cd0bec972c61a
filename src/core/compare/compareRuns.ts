import type { Run } from '../run/run';
import { FACT_KINDS, type FactKind, type RunFact, runFacts } from './runFacts';

/** A fact of two runs; null where one has none. */
export interface Compared extends Omit<RunFact, 'value'> {
  one: RunFact['value'] | null;
  other: RunFact['value'] | null;
  /** By more than a hand is off. */
  differs: boolean;
}

/** Closer is the same: as a fraction, in K or in s. Our own assumptions. */
const SAME_FRACTION: Partial<Record<FactKind, number>> = {
  weighed: 0.02,
  'planned-dose': 0.001,
  'piece-weight': 0.02,
};
const SAME: Partial<Record<FactKind, number>> = {
  'poured-heat': 1,
  'planned-heat': 0.5,
  'room-heat': 1,
  'room-humidity': 0.05,
  'poured-after': 60,
};

/** What differs between two finished runs, and what is the same. */
export function compareRuns(one: Run, other: Run): Compared[] {
  const facts = new Map<string, Compared>();
  for (const [side, run] of [
    ['one', one],
    ['other', other],
  ] as const)
    for (const { value, ...about } of runFacts(run)) {
      const key = `${about.kind} ${about.round} ${about.letter} ${about.name}`;
      const known = facts.get(key) ?? { ...about, one: null, other: null, differs: false };
      facts.set(key, { ...known, [side]: value });
    }
  return [...facts.values()]
    .map((fact) => ({ ...fact, differs: isDifferent(fact) }))
    .sort((a, b) => FACT_KINDS.indexOf(a.kind) - FACT_KINDS.indexOf(b.kind));
}

function isDifferent({ kind, one, other }: Compared): boolean {
  if (typeof one !== 'number' || typeof other !== 'number') return one !== other;
  const fraction = SAME_FRACTION[kind];
  if (fraction !== undefined)
    return Math.abs(one - other) > fraction * Math.max(Math.abs(one), Math.abs(other));
  return Math.abs(one - other) > (SAME[kind] ?? 0);
}
