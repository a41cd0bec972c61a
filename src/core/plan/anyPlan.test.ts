import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { anyPlanFile } from '../../../tests/support/anyPlanFile';
import { allFindingWords } from '../../words/en/findings/findingWords';
import { taskSentence } from '../../words/en/work/taskSentence';
import { reviewPlan } from '../checks/review';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { untimed } from '../schedule/untimed';
import { sectionOf } from '../section/section';
import { meltsOf } from '../work/loads';
import { tasksOf } from '../work/tasksOf';
import { planFileSchema } from './planSchema';
import { sheetSchema } from './sheetSchema';

const describeFinding = await allFindingWords();

const METRIC = { system: 'metric', locale: 'en' } as const;

test('any plan that can be told has a sheet or a reason, and everything that is made of it can be told too', () => {
  let sheets = 0;
  fc.assert(
    fc.property(anyPlanFile(), (file) => {
      const told = planFileSchema.safeParse(file);
      assert.ok(told.success, told.success ? '' : told.error.message);
      const { sheet, findings } = reviewPlan(file);
      for (const finding of findings) assert.ok(describeFinding(finding, METRIC).title.length > 0);
      if (!sheet) {
        assert.ok(findings.some(({ severity }) => severity === 'stop'));
        return;
      }
      sheets++;
      const read = sheetSchema.safeParse(sheet);
      assert.ok(read.success, read.success ? '' : read.error.message);
      // Nothing runs over without a stop, and what is drawn never leaves the cavity.
      const roomMl =
        sheet.pours.reduce((sum, { intoMoldMl, displacedMl }) => sum + intoMoldMl + displacedMl, 0) /
        sheet.fills;
      assert.ok(roomMl <= 100 * (1 + 1e-6));
      for (const task of untimed(tasksOf(sheet, USUAL_HOUSE_RULES)))
        assert.ok(taskSentence(task, sheet, USUAL_HOUSE_RULES, METRIC).length > 0);
      for (const { cutG, needG } of meltsOf(sheet, USUAL_HOUSE_RULES)) assert.ok(cutG >= needG - 1e-6);
      for (const axis of ['length', 'width'] as const) {
        const section = sectionOf(sheet, axis);
        assert.equal(section === null, file.mold.shape.kind === 'capacity-only');
        for (const { top, bottom, toMm } of section?.pours ?? []) {
          assert.ok([...top, ...bottom].flat().every(Number.isFinite));
          assert.ok(toMm <= (section?.depthMm ?? 0) + 1e-9);
        }
      }
    }),
    { numRuns: 150 },
  );
  assert.ok(sheets > 30, `${sheets} sheets of 150 plans`);
});
