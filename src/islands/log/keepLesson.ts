import type { HouseChoices } from '../../core/houseRules/houseRules';
import type { DosedMaterial } from '../../core/materials/material';
import type { Plan } from '../../core/plan/plan';
import type { StoredPlan } from '../../core/plan/storedPlan';
import { fail, ok, type Result } from '../../core/result';
import { doseText } from '../../core/run/doseText';
import { keptLoss } from '../../core/run/keptLoss';
import type { Lesson } from '../../core/run/lessons';
import { parseQuantity } from '../../core/units/parseQuantity';
import { callApi } from '../shared/api';
import { changeTaught, withLesson } from '../shared/changeTaught';
import type { StoredItem } from '../shared/saveQueue';

/** What was kept, and the way back. */
export interface Kept {
  undo(): Promise<Result<null, string>>;
}

/** So many readings of a bottle are kept, the newest. */
const MOST_READINGS = 200;

/** Teaches what a lesson is about, on the record as it is now; answers the way back, or what went wrong. */
export async function keepLesson(runId: string, lesson: Lesson): Promise<Result<Kept, string>> {
  switch (lesson.of) {
    case 'jug':
    case 'mold': {
      if (!lesson.taught.success) throw new RangeError('nothing was taught');
      const { data } = lesson.taught;
      const pupil = { kind: lesson.of, id: lesson.id };
      const saved = await changeTaught(pupil, (taught) => withLesson(taught, data));
      const undo = () =>
        changeTaught(pupil, (taught) =>
          taught.filter(({ from, scale }) => from.runId !== runId || scale !== data.scale),
        );
      return saved.success ? ok({ undo: () => asNothing(undo()) }) : saved;
    }
    case 'count': {
      const address = `/api/materials/${encodeURIComponent(lesson.materialId)}`;
      const { reading } = lesson;
      const isOwn = (each: typeof reading) => each.runId === runId && each.of === reading.of;
      const set = (isWith: boolean) =>
        changeItem<DosedMaterial>(address, (item) => ({
          ...item,
          readings: [...item.readings.filter((each) => !isOwn(each)), ...(isWith ? [reading] : [])].slice(
            -MOST_READINGS,
          ),
        }));
      const saved = await set(true);
      return saved.success ? ok({ undo: () => asNothing(set(false)) }) : saved;
    }
    case 'dose': {
      const text = doseText(lesson.ofBase);
      const means = parseQuantity(text);
      if (!means.success) throw new RangeError('a dose that can’t be read');
      const set = (to: Partial<Dose>) => changeDose(lesson.planId, lesson.doseId, to);
      const saved = await set({ text, means: means.data });
      return saved.success ? ok({ undo: () => asNothing(set(saved.data)) }) : saved;
    }
    case 'loss': {
      const set = (jugLossFraction: number) =>
        changeItem<HouseChoices>('/api/house-rules', (item) => ({ ...item, jugLossFraction }));
      const saved = await set(keptLoss(lesson.fraction));
      return saved.success ? ok({ undo: () => asNothing(set(saved.data.jugLossFraction)) }) : saved;
    }
  }
}

type Dose = Plan['pours'][number]['doses'][number];

/** Changes a dose of a plan as it is now; answers what it said. */
async function changeDose(
  planId: string,
  doseId: string,
  to: Partial<Dose>,
): Promise<Result<Pick<Dose, 'text' | 'means'>, string>> {
  const address = `/api/plans/${encodeURIComponent(planId)}`;
  const now = await callApi<StoredPlan>('GET', address);
  if (!now.success) return fail(now.error.detail);
  const { plan, revision } = now.data;
  const dose = plan.pours.flatMap(({ doses }) => doses).find(({ id }) => id === doseId);
  if (!dose) return fail('The plan has no such dose any more. Add it there.');
  const pours = plan.pours.map((pour) => ({
    ...pour,
    doses: pour.doses.map((each) => (each.id === doseId ? { ...each, ...to } : each)),
  }));
  const saved = await callApi<StoredPlan>('PUT', address, { plan: { ...plan, pours }, revision });
  return saved.success ? ok({ text: dose.text, means: dose.means }) : fail(saved.error.detail);
}

/** Changes a record as it is now; answers it as it was. */
async function changeItem<Item>(
  address: string,
  change: (item: Item) => Item,
): Promise<Result<Item, string>> {
  const now = await callApi<StoredItem<Item>>('GET', address);
  if (!now.success) return fail(now.error.detail);
  const { item, revision } = now.data;
  const saved = await callApi<StoredItem<Item>>('PUT', address, { item: change(item), revision });
  return saved.success ? ok(item) : fail(saved.error.detail);
}

async function asNothing(answer: Promise<Result<unknown, string>>): Promise<Result<null, string>> {
  const { success, ...rest } = await answer;
  return success ? ok(null) : fail((rest as { error: string }).error);
}
