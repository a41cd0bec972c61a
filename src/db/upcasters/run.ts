import type { HouseRules } from '../../core/houseRules/houseRules';
import type { Sheet } from '../../core/plan/sheet';
import { sheetSchema } from '../../core/plan/sheetSchema';
import { layerGroups } from '../../core/pours/layers';
import type { ScheduledTask } from '../../core/schedule/scheduledTask';
import { untimed } from '../../core/schedule/untimed';
import { pourTaskId, tasksOfRound } from '../../core/work/tasksOf';
import { isObject } from './fields';
import { completeSheet } from './sheet';

/**
 * The snapshot of a run from before there were any: its sheet and findings as they were frozen, the house rules of today,
 * and tasks worked out from the sheet. All rounds were one then, from one jug, and so they are here.
 */
export function derivedSnapshot(record: unknown, rules: HouseRules): unknown {
  if (!isObject(record)) return record;
  const sheet = sheetSchema.parse(completeSheet(record.sheet));
  return { sheet, rules, tasks: tasksAtOnce(sheet, rules), findings: record.findings, isDerived: true };
}

function tasksAtOnce(sheet: Sheet, rules: HouseRules): ScheduledTask[] {
  const atOnce = {
    ...sheet,
    mold: { ...sheet.mold, cavities: sheet.fills, copies: 1 },
    totals: { ...sheet.totals, rounds: 1 },
  };
  return untimed(tasksOfRound(atOnce, { ...rules, jugs: [] }, 0));
}

/** An event from before tasks: `type` is `kind`, and a step is the task that it has become. */
export function derivedEvent(record: unknown, sheet: Sheet): unknown {
  if (!isObject(record)) return record;
  const { type, stepId, ...rest } = record;
  return {
    kind: type,
    ...rest,
    ...(typeof stepId === 'string' ? { taskId: taskIdOfStep(stepId, sheet) } : {}),
  };
}

/** `B/dose-1` was a step; what went in beside another pour is poured in the task of that one. */
function taskIdOfStep(stepId: string, { pours }: Sheet): string {
  const [letter = '', what = ''] = stepId.split('/');
  if (what === 'embeds') return pourTaskId(0, letter, 0, 'inclusions');
  if (what !== 'pour') return pourTaskId(0, letter, 0, what);
  const own = pours.findIndex((pour) => pour.letter === letter);
  const lead = layerGroups(pours).find((group) => group.includes(own))?.[0] ?? own;
  return pourTaskId(0, pours[lead]?.letter ?? letter, 0, 'pour');
}
