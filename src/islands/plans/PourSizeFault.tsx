import type { PourSizeFault as Fault } from '../../core/plan/pourSize';
import { explainPourSizeFault } from '../../words/en/plan/sizeFaults';

/** Why a text is no size of a pour, and what to write. */
export default function PourSizeFault({ fault }: { fault: Fault }) {
  return explainPourSizeFault(fault);
}
