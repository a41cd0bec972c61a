import { differences } from '../../core/plan/differences';
import { planSchema } from '../../core/plan/planSchema';
import type { StoredPlan } from '../../core/plan/storedPlan';
import type { Draft } from './draft';

/** A draft as it was kept in the browser; null where it can't be read, or says nothing new. */
export function readDraft(kept: string, stored: StoredPlan): Draft | null {
  try {
    const { plan: written, revision } = JSON.parse(kept) as { plan: unknown; revision: unknown };
    const plan = planSchema.parse(written);
    return typeof revision === 'number' && differences(plan, stored.plan).length > 0
      ? { plan, revision }
      : null;
  } catch {
    return null;
  }
}
