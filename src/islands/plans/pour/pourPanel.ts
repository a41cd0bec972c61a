import type { HouseRules } from '../../../core/houseRules/houseRules';
import type { Plan, PlanFile } from '../../../core/plan/plan';
import type { Sheet } from '../../../core/plan/sheet';
import type { Showing } from '../../../core/units/showQuantity';

/** What every part of a pour's panel goes by. */
export interface PourPanelProps {
  file: PlanFile;
  pourIndex: number;
  sheet: Sheet | null;
  rules: HouseRules;
  showing: Showing;
  onEdit(plan: Plan, about: string): void;
}
