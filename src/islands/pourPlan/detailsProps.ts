import type { HouseRules } from '../../core/houseRules/houseRules';
import type { Material } from '../../core/materials/material';
import type { Plan, PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import type { PourPlan } from '../../core/schedule/pourPlan';
import type { Showing } from '../../core/units/showQuantity';
import type { Detail } from './details';
import type { TaughtAnswer } from './teach/useTeacher';

/** What the parts of an opened pour plan are given; each takes what it needs. */
export interface DetailsProps {
  detail: Detail;
  file: PlanFile;
  sheet: Sheet;
  pourPlan: PourPlan;
  pourIndex: number;
  rules: HouseRules;
  materials: Material[];
  showing: Showing;
  onPour(pourIndex: number): void;
  onEdit(plan: Plan, about: string): void;
  onTaught(answer: TaughtAnswer): void;
  onClose(): void;
}
