import { doseText } from '../core/run/doseText';
import { keptLoss } from '../core/run/keptLoss';
import type { Lesson, OfferedLesson } from '../core/run/lessons';
import type { Run } from '../core/run/run';
import { compute } from './compute/threads';
import type { Workshop } from './openWorkshop';
import { runJson } from './runJson';

/** What a run taught, worked out beside the thread that answers. */
export async function lessonsOfRun(open: Workshop, run: Run): Promise<OfferedLesson[]> {
  const lessons = await compute('lessons', { run: await runJson(run), kept: open.readings.ofRun(run.id) });
  return lessons.map((lesson) => ({ ...lesson, isKept: isKept(open, run.id, lesson) }));
}

function isKept(
  { jugs, molds, materials, plans, houseRules }: Workshop,
  runId: string,
  lesson: Lesson,
): boolean {
  switch (lesson.of) {
    case 'jug':
    case 'mold': {
      const { taught } = lesson;
      if (!taught.success) return false;
      const known = (lesson.of === 'jug' ? jugs : molds).find(lesson.id)?.item.taught ?? [];
      return known.some(({ from, scale }) => from.runId === runId && scale === taught.data.scale);
    }
    case 'count': {
      const material = materials.find(lesson.materialId)?.item;
      const readings = material && 'readings' in material ? material.readings : [];
      return readings.some((reading) => reading.runId === runId && reading.of === lesson.reading.of);
    }
    case 'dose': {
      const stored = plans.newest(lesson.planId);
      const doses = stored?.success ? stored.data.plan.pours.flatMap((pour) => pour.doses) : [];
      const dose = doses.find(({ id }) => id === lesson.doseId);
      return dose?.text === doseText(lesson.ofBase);
    }
    case 'loss':
      return houseRules.read().item.jugLossFraction === keptLoss(lesson.fraction);
  }
}
