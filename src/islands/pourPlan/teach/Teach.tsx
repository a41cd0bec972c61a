import type { Taught } from '../../../core/heat/taught';
import { useShowing } from '../../shared/showing';
import { TaughtList } from '../../shared/TaughtList';
import { LessonFields } from './LessonFields';
import { WAYS, type Way } from './lesson';
import { TeachAnswer } from './TeachAnswer';
import { degrees, type TeachingProps, useTeaching } from './useTeaching';

/** Teaches a jug or a mold how readily it loses heat: one figure, from readings or from a touch. */
export function Teach(props: TeachingProps) {
  const showing = useShowing();
  const teaching = useTeaching(props);
  const { way, texts, pupil, whose, taught, problem, lesson, teacher } = teaching;
  return (
    <div className="flex flex-col gap-2 text-sm">
      <label className="flex flex-col text-xs">
        <span className="quiet">Teach</span>
        <select
          className="select select-sm max-w-sm pointer-coarse:min-h-11"
          value={way}
          onChange={({ target }) => teaching.choose(target.value as Way)}
        >
          {Object.entries(WAYS).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </select>
      </label>
      {pupil === null ? (
        <NoPupil hasJug={teaching.hasJug} />
      ) : (
        <>
          <TaughtList
            key={JSON.stringify(pupil)}
            whose={whose}
            taught={taught}
            onTakeOut={(one) => teaching.change((list) => list.filter((each) => !isSame(each, one)))}
            onPutBack={(one, at) => teaching.change((list) => list.toSpliced(at, 0, one))}
          />
          <LessonFields
            way={way}
            texts={texts}
            unit={degrees(showing)}
            letters={teaching.letters}
            onChange={teaching.type}
            onProblem={teaching.setProblem}
          />
          <button
            type="button"
            className="btn btn-primary btn-sm self-start pointer-coarse:min-h-11"
            disabled={teacher.busy}
            onClick={teaching.start}
          >
            {teacher.busy ? 'Fitting …' : 'See what it says'}
          </button>
        </>
      )}
      {[
        problem,
        teacher.failed
          ? 'The readings could not be fitted. They are still here: press the button again.'
          : null,
      ].map(
        (words) =>
          words && (
            <p key={words} role="alert" className="text-error">
              {words}
            </p>
          ),
      )}
      {teacher.result && (
        <TeachAnswer
          result={teacher.result}
          readings={lesson?.readings ?? []}
          whose={whose}
          saving={teaching.saving}
          onKeep={() => void teaching.keep()}
        />
      )}
    </div>
  );
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
