import type { Plan } from '../../core/plan/plan';

/** A plan with its way back and forward. */
export interface PlanHistory {
  past: Plan[];
  present: Plan;
  future: Plan[];
  /** What the last edit was about, and when: keystrokes in one field are one step back. */
  last: { about: string; atMs: number } | null;
}

export type PlanAction =
  | { kind: 'edit'; plan: Plan; about: string; atMs: number }
  | { kind: 'undo' }
  | { kind: 'redo' }
  | { kind: 'replace'; plan: Plan };

/** Where a text is being typed: in a dose, or in one that weighs nothing. */
export type Typing = { pourIndex: number; doseIndex: number } | 'words';

const WORDS: ReadonlySet<string> = new Set(['name', 'note']);

/** What the last edit was about, where it was a dose that is typed into. */
export const doseTyped = (pourIndex: number, doseIndex: number) => `dose ${doseIndex} of ${pourIndex}`;

/** Where somebody types; null after anything else, such as a drag or an undo. */
export function typingIn({ last }: PlanHistory): Typing | null {
  if (last === null) return null;
  if (WORDS.has(last.about)) return 'words';
  const [, doseIndex, pourIndex] = /^dose (\d+) of (\d+)$/.exec(last.about) ?? [];
  return doseIndex === undefined ? null : { doseIndex: Number(doseIndex), pourIndex: Number(pourIndex) };
}

const ONE_STEP_WITHIN_MS = 1200;
const LONGEST_PAST = 300;

export function startHistory(plan: Plan): PlanHistory {
  return { past: [], present: plan, future: [], last: null };
}

export function planHistory(history: PlanHistory, action: PlanAction): PlanHistory {
  const { past, present, future, last } = history;
  switch (action.kind) {
    case 'edit': {
      const { plan, about, atMs } = action;
      const goesOn = last !== null && last.about === about && atMs - last.atMs < ONE_STEP_WITHIN_MS;
      return {
        past: goesOn ? past : [...past, present].slice(-LONGEST_PAST),
        present: plan,
        future: [],
        last: { about, atMs },
      };
    }
    case 'undo': {
      const before = past.at(-1);
      if (before === undefined) return history;
      return { past: past.slice(0, -1), present: before, future: [present, ...future], last: null };
    }
    case 'redo': {
      const [after, ...rest] = future;
      if (after === undefined) return history;
      return { past: [...past, present], present: after, future: rest, last: null };
    }
    case 'replace':
      return { past: [...past, present].slice(-LONGEST_PAST), present: action.plan, future: [], last: null };
  }
}

/** A plan with what was typed last as it is in the newest one. */
export function withTyped(plan: Plan, newest: Plan, typing: Typing): Plan {
  if (typing === 'words') return { ...plan, name: newest.name, note: newest.note };
  const typed = newest.pours[typing.pourIndex]?.doses[typing.doseIndex];
  if (!typed) return plan;
  return {
    ...plan,
    pours: plan.pours.map((pour) => ({
      ...pour,
      doses: pour.doses.map((dose) => (dose.id === typed.id ? typed : dose)),
    })),
  };
}
