import type { FindingCode, FoundOf } from '../../../core/checks/finding';
import type { Showing } from '../../../core/units/showQuantity';

/** A finding in words. */
export interface Described {
  title: string;
  reason: string;
  /** What the one press does; null where there is no fix. */
  fixLabel: string | null;
}

/** Puts what was found of one code in words. */
export type Describe<Code extends FindingCode> = (found: FoundOf<Code>, showing: Showing) => Described;
