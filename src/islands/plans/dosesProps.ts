import type { Finding } from '../../core/checks/finding';
import type { Plan } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import type { Typing } from './planHistory';

/** What the doses of a plan are shown by. */
export interface DosesProps {
  plan: Plan;
  pourIndex: number;
  /** Of the plan as it is this moment. */
  sheet: Sheet | null;
  /** The same, or a frame behind it while somebody types. */
  settled: Sheet | null;
  typing: Typing | null;
  findings: Finding[];
  onPour(pourIndex: number): void;
}
