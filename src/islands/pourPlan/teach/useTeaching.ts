import { useState } from 'react';
import type { Taught } from '../../../core/heat/taught';
import { type Showing, temperatureUnit } from '../../../core/units/showQuantity';
import { usePlanPage } from '../../plans/planContext';
import { changeTaught, type Pupil, withLesson } from '../../shared/changeTaught';
import { useShowing } from '../../shared/showing';
import { today } from '../../shared/today';
import type { DetailsProps } from '../detailsProps';
import { type Lesson, type LessonTexts, readLesson, type Way } from './lesson';
import { useTeacher } from './useTeacher';

export type TeachingProps = Pick<DetailsProps, 'file' | 'sheet' | 'pourPlan' | 'pourIndex'>;

export const degrees = ({ system }: Showing) => temperatureUnit(system);

/** A lesson as it is typed, what it says, and whom it teaches. */
export function useTeaching({ file, sheet, pourPlan, pourIndex }: TeachingProps) {
  const { rules, taught } = usePlanPage();
  const showing = useShowing();
  const layerIndex = pourPlan.layers.findIndex(({ pourIndexes }) => pourIndexes.includes(pourIndex));
  const jugOfPour = pourPlan.layers[layerIndex]?.jugs.find((each) => each.pourIndex === pourIndex);
  const [way, setWay] = useState<Way>('jug');
  const [texts, setTexts] = useState<LessonTexts>({
    text: '',
    time: 'minutes',
    room: '',
    content: jugOfPour ? String(Math.round(jugOfPour.contentG)) : '',
  });
  const [problem, setProblem] = useState<string | null>(null);
  const [lesson, setLesson] = useState<Lesson | null>(null);
  const [saving, setSaving] = useState(false);
  const teacher = useTeacher(sheet, rules);

  const jug = rules.jugs.find(({ id }) => id === jugOfPour?.id);
  const pupil = pupilOf(way, jug?.id, file.mold.id);

  function choose(next: Way) {
    setWay(next);
    teacher.forget();
    setProblem(null);
  }

  function start() {
    teacher.forget();
    const read = readLesson(way, texts, {
      unit: degrees(showing),
      pourIndex,
      layerIndex,
      waits: pourPlan.layers.slice(1).map(({ afterS }) => afterS),
      holdsMl: jug?.holdsMl ?? null,
      baseName: sheet.pours[pourIndex]?.base.name ?? '',
      planName: file.plan.name,
    });
    setProblem(read.success ? null : read.error);
    if (!read.success) return;
    setLesson(read.data);
    teacher.fit(read.data.request);
  }

  /** Changes what was taught so far; false where it could not be. */
  async function change(how: (list: Taught[]) => Taught[]): Promise<boolean> {
    if (!pupil || saving) return false;
    setSaving(true);
    setProblem(null);
    const answer = await changeTaught(pupil, how);
    setSaving(false);
    if (answer.success) taught(answer.data);
    else setProblem(answer.error);
    return answer.success;
  }

  async function keep() {
    if (!teacher.result?.success || !lesson) return;
    const { scale, spread, curve = [] } = teacher.result.data;
    const from = lesson.from.is === 'touch' ? lesson.from : { ...lesson.from, curve };
    const isKept = await change((list) => withLesson(list, { on: today(), scale, spread, from }));
    if (!isKept) return;
    teacher.forget();
    setTexts({ ...texts, text: '' });
  }

  return {
    way,
    texts,
    pupil,
    whose: way === 'jug' ? (jug?.name ?? '') : file.mold.name,
    taught: way === 'jug' ? (jug?.taught ?? []) : file.mold.taught,
    letters: pourPlan.layers[layerIndex]?.letters ?? '',
    hasJug: jugOfPour !== undefined,
    problem,
    lesson,
    saving,
    teacher,
    setProblem,
    type: (part: Partial<LessonTexts>) => setTexts((before) => ({ ...before, ...part })),
    choose,
    start,
    change,
    keep,
  };
}

function pupilOf(way: Way, jugId: string | undefined, moldId: string): Pupil | null {
  if (way !== 'jug') return { kind: 'mold', id: moldId };
  return jugId === undefined ? null : { kind: 'jug', id: jugId };
}
