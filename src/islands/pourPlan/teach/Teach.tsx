import { useState } from 'react';
import type { Taught } from '../../../core/heat/taught';
import { usePlanPage } from '../../plans/planContext';
import { useShowing } from '../../shared/showing';
import { TaughtList } from '../../shared/TaughtList';
import { today } from '../../shared/today';
import type { DetailsProps } from '../detailsProps';
import { LessonFields } from './LessonFields';
import { type Lesson, type LessonTexts, readLesson, WAYS, type Way } from './lesson';
import { TeachAnswer } from './TeachAnswer';
import { changeTaught, type Pupil, useTeacher } from './useTeacher';

type Props = Pick<DetailsProps, 'file' | 'sheet' | 'pourPlan' | 'pourIndex'>;

const MOST_KEPT = 20;

/** Teaches a jug or a mold how readily it loses heat: one figure, from readings or from a touch. */
export function Teach(props: Props) {
  const { rules, taught } = usePlanPage();
  const { file, sheet, pourPlan, pourIndex } = props;
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
  const { fit, busy, failed, result, forget } = useTeacher(sheet, rules);

  const jug = rules.jugs.find(({ id }) => id === jugOfPour?.id);
  const pupil = pupilOf(way, jug?.id, file.mold.id);
  const whose = way === 'jug' ? (jug?.name ?? '') : file.mold.name;
  const unit = showing.system === 'us' ? '°F' : '°C';

  function start() {
    forget();
    const read = readLesson(way, texts, {
      unit,
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
    fit(read.data.request);
  }

  async function changeIt(how: (list: Taught[]) => Taught[]) {
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
    if (!result?.success || !lesson) return;
    const { scale, spread, curve = [] } = result.data;
    const from = lesson.from.is === 'touch' ? lesson.from : { ...lesson.from, curve };
    const isKept = await changeIt((list) =>
      [...list, { on: today(), scale, spread, from }].slice(-MOST_KEPT),
    );
    if (!isKept) return;
    forget();
    setTexts({ ...texts, text: '' });
  }

  return (
    <div className="flex flex-col gap-2 text-sm">
      <label className="flex flex-col text-xs">
        <span className="quiet">Teach</span>
        <select
          className="select select-sm max-w-sm pointer-coarse:min-h-11"
          value={way}
          onChange={({ target }) => {
            setWay(target.value as Way);
            forget();
            setProblem(null);
          }}
        >
          {Object.entries(WAYS).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </select>
      </label>
      {pupil === null ? (
        <NoPupil hasJug={jugOfPour !== undefined} />
      ) : (
        <>
          <TaughtList
            key={JSON.stringify(pupil)}
            whose={whose}
            taught={way === 'jug' ? (jug?.taught ?? []) : file.mold.taught}
            onTakeOut={(one) => changeIt((list) => list.filter((each) => !isSame(each, one)))}
            onPutBack={(one, at) => changeIt((list) => list.toSpliced(at, 0, one))}
          />
          <LessonFields
            way={way}
            texts={texts}
            unit={unit}
            letters={pourPlan.layers[layerIndex]?.letters ?? ''}
            onChange={(change) => setTexts((before) => ({ ...before, ...change }))}
            onProblem={setProblem}
          />
          <button
            type="button"
            className="btn btn-primary btn-sm self-start pointer-coarse:min-h-11"
            disabled={busy}
            onClick={start}
          >
            {busy ? 'Fitting …' : 'See what it says'}
          </button>
        </>
      )}
      {[
        problem,
        failed ? 'The readings could not be fitted. They are still here: press the button again.' : null,
      ].map(
        (words) =>
          words && (
            <p key={words} role="alert" className="text-error">
              {words}
            </p>
          ),
      )}
      {result && (
        <TeachAnswer
          result={result}
          readings={lesson?.readings ?? []}
          whose={whose}
          saving={saving}
          onKeep={() => void keep()}
        />
      )}
    </div>
  );
}

function pupilOf(way: Way, jugId: string | undefined, moldId: string): Pupil | null {
  if (way !== 'jug') return { kind: 'mold', id: moldId };
  return jugId === undefined ? null : { kind: 'jug', id: jugId };
}

function NoPupil({ hasJug }: { hasJug: boolean }) {
  return (
    <p>
      {hasJug
        ? 'No jugs are entered in the house rules yet. Add them, and each can be taught.'
        : 'This pour goes on in the jug of the pour before. Choose that one.'}{' '}
      <a className="link" href="/house-rules">
        House rules
      </a>
    </p>
  );
}

function isSame(one: Taught, other: Taught): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}
