import { createHash } from 'node:crypto';
import type { HeatFound } from '../core/checks/heat/heatFound';
import type { HouseRules } from '../core/houseRules/houseRules';
import type { Sheet } from '../core/plan/sheet';
import { keptPourPlans, pourPlanKey } from '../core/schedule/keptPourPlans';
import type { PourPlan } from '../core/schedule/pourPlan';
import { compute, type Urgency } from './compute/threads';
import type { PourPlanFound } from './compute/work';

/** In tasks: an ordinary plan has some dozen, a crowded one of many rounds some ten thousand, which are as many megabytes. */
const MOST_TASKS = 20_000;
const kept = keptPourPlans<PourPlanFound>(MOST_TASKS, ({ pourPlan }) => pourPlan.tasks.length);
/** Of more plans than a page of cards shows. */
const keptFound = keptPourPlans<HeatFound>(2000);
const underWay = new Map<string, Promise<PourPlanFound>>();

/**
 * The pour plan of a sheet.
 *
 * @throws Problem 503 when it takes too long
 */
export async function pourPlanOf(sheet: Sheet, rules: HouseRules): Promise<PourPlan> {
  const key = keyOf(sheet, rules);
  const { pourPlan } = kept.find(key) ?? (await made(key, sheet, rules, 'asked'));
  return pourPlan;
}

/** What the pour plan of a sheet tells against its plan, where it has been worked out. */
export function heatKnown(sheet: Sheet, rules: HouseRules): HeatFound | null {
  return keptFound.find(keyOf(sheet, rules)) ?? null;
}

/**
 * What the pour plan of a sheet tells against its plan, worked out when nobody waits for anything else.
 *
 * @throws Problem 503 when it takes too long
 */
export async function heatAhead(sheet: Sheet, rules: HouseRules): Promise<HeatFound> {
  const key = keyOf(sheet, rules);
  return keptFound.find(key) ?? (await made(key, sheet, rules, 'ahead')).found;
}

/** A card is shown more often than its sheet changes, and a key takes as long as all else that it counts. */
const keys = new WeakMap<Sheet, { rules: HouseRules; key: string }>();

function keyOf(sheet: Sheet, rules: HouseRules): string {
  const known = keys.get(sheet);
  if (known?.rules === rules) return known.key;
  // What is kept for thousands of plans is kept under a short name.
  const key = createHash('sha256').update(pourPlanKey(sheet, rules)).digest('base64');
  keys.set(sheet, { rules, key });
  return key;
}

async function made(key: string, sheet: Sheet, rules: HouseRules, urgency: Urgency) {
  const waiting = `${urgency} ${key}`;
  const same = underWay.get(waiting);
  if (same) return same;
  const making = compute('pourPlan', { sheet, rules }, urgency);
  underWay.set(waiting, making);
  try {
    const whole = await making;
    kept.keep(key, whole);
    keptFound.keep(key, whole.found);
    return whole;
  } finally {
    underWay.delete(waiting);
  }
}
