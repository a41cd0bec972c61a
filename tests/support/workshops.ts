import type { PlanFile } from '../../src/core/plan/plan';
import { importPlan } from '../../src/server/importPlan';
import { Problem } from '../../src/server/problem';
import { openWorkshop, type Workshop } from '../../src/server/workshop';

/** An empty workshop in memory whose clock moves a second at each look. */
export function emptyWorkshop(): Workshop {
  let seconds = 0;
  return openWorkshop(':memory:', () => new Date(Date.UTC(2026, 0, 1) + 1000 * seconds++).toISOString());
}

/** A workshop that holds one plan. */
export function workshopWith(file: PlanFile) {
  const workshop = emptyWorkshop();
  return { workshop, stored: importPlan(workshop, file) };
}

/** The problem that `work` throws. */
export function problemFrom(work: () => unknown): Problem {
  try {
    work();
  } catch (error) {
    if (error instanceof Problem) return error;
    throw error;
  }
  throw new Error('no problem was thrown');
}

/** The problem that a promise is rejected with. */
export async function problemOf(work: Promise<unknown>): Promise<Problem> {
  try {
    await work;
  } catch (error) {
    if (error instanceof Problem) return error;
    throw error;
  }
  throw new Error('no problem was thrown');
}
