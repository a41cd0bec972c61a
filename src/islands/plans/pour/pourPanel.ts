import type { PlanFile } from '../../../core/plan/plan';
import type { Sheet } from '../../../core/plan/sheet';

/** What every part of a pour's panel goes by. */
export interface PourPanelProps {
  file: PlanFile;
  pourIndex: number;
  sheet: Sheet | null;
}
