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
  | { do: 'edit'; plan: Plan; about: string; atMs: number }
  | { do: 'undo' }
  | { do: 'redo' }
  | { do: 'replace'; plan: Plan };

const ONE_STEP_WITHIN_MS = 1200;
const LONGEST_PAST = 300;

export function startHistory(plan: Plan): PlanHistory {
  return { past: [], present: plan, future: [], last: null };
}

export function planHistory(history: PlanHistory, action: PlanAction): PlanHistory {
  const { past, present, future, last } = history;
  switch (action.do) {
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
