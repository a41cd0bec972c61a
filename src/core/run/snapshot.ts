import { findingSchema } from '../checks/findingSchema';
import type { Taught } from '../heat/taught';
import type { HouseRules } from '../houseRules/houseRules';
import { houseRulesSchema } from '../houseRules/houseRulesSchema';
import type { DosedMaterial } from '../materials/material';
import type { Mold } from '../molds/mold';
import type { Sheet } from '../plan/sheet';
import { sheetSchema } from '../plan/sheetSchema';
import { scheduledTaskSchema } from '../schedule/scheduledTask';
import { z } from '../zod';

/** Everything a run rests on, frozen when it begins: what the plan, the shelf and the house rules are later is nothing to it. */
export const snapshotSchema = z.strictObject({
  sheet: sheetSchema,
  rules: houseRulesSchema,
  /** In the order of the schedule. */
  tasks: z.array(scheduledTaskSchema),
  /** Of the sheet and of the heat. */
  findings: z.array(findingSchema),
  /** The run is older than snapshots: its tasks were worked out from its sheet when it was read. */
  isDerived: z.boolean(),
  /** A small batch to try the plan with; left out of any other. */
  isTrial: z.literal(true).optional(),
});

export type Snapshot = z.infer<typeof snapshotSchema>;

/** A sheet without what no later view of a run needs: all lessons but the last, measurings, readings and notes of what it names. */
export function slimSheet(sheet: Sheet): Sheet {
  return {
    ...sheet,
    mold: slimMold(sheet.mold),
    secondMold: sheet.secondMold && slimMold(sheet.secondMold),
    pours: sheet.pours.map((pour) => ({
      ...pour,
      base: { ...pour.base, note: '' },
      lines: pour.lines.map((line) => ({ ...line, material: slimMaterial(line.material) })),
      laid: pour.laid.map((line) => ({ ...line, material: slimMaterial(line.material) })),
      carried: pour.carried.map((line) => ({ ...line, material: slimMaterial(line.material) })),
      inherited: pour.inherited.map((line) => ({ ...line, material: slimMaterial(line.material) })),
    })),
  };
}

function slimMold(mold: Mold): Mold {
  return { ...mold, taught: lastLesson(mold.taught), measures: [], note: '' };
}

function slimMaterial(material: DosedMaterial): DosedMaterial {
  return { ...material, note: '', readings: [] };
}

/** Jugs keep how readily they lose heat as they were taught last, as molds do: the bench forecasts by it. */
export function slimRules(rules: HouseRules): HouseRules {
  return {
    ...rules,
    jugs: rules.jugs.map((jug) => ({ ...jug, taught: lastLesson(jug.taught) })),
  };
}

/** As few readings as a lesson has. */
const FEWEST_READINGS = 3;

function lastLesson(taught: readonly Taught[]): Taught[] {
  return taught.slice(-1).map(slimLesson);
}

function slimLesson(taught: Taught): Taught {
  const { from } = taught;
  if (from.is === 'touch') return taught;
  return { ...taught, from: { ...from, readings: from.readings.slice(0, FEWEST_READINGS), curve: [] } };
}
