import type { PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import type { PourPlan } from '../../core/schedule/pourPlan';
import type { Detail } from './details';

/** What the parts of an opened pour plan are given; each takes what it needs. */
export interface DetailsProps {
  detail: Detail;
  file: PlanFile;
  sheet: Sheet;
  pourPlan: PourPlan;
  pourIndex: number;
  onPour(pourIndex: number): void;
  onClose(): void;
}
