import { isWait } from '../../core/work/task';
import { taskName } from '../../words/en/work/taskName';
import { taskSentence } from '../../words/en/work/taskSentence';
import { useShowing } from '../shared/showing';
import { DoneFace } from './DoneFace';
import { BackButton, Cautions, NextButton, OverLimits } from './faceParts';
import type { FaceProps } from './faceProps';
import { InTheWay } from './InTheWay';
import { MoreIn } from './MoreIn';
import { NotDue, PourMoment, pouredAt, WaitNow } from './Passing';
import { leftOnScale, PourSaid, usePourSaid } from './PourSaid';
import { Safety } from './Safety';
import { WeighFace } from './WeighFace';

/** The task in hand: one sentence, one figure, one thing to press. */
export function TaskFace(props: FaceProps) {
  const { task } = props;
  if (task.doneAt !== null) return <DoneFace {...props} />;
  if (isWait(task) || task.unmet.length > 0) return <WaitFace {...props} />;
  if (task.targetG === null) return <DoFace {...props} />;
  return <WeighFace {...props} targetG={task.targetG} />;
}

/** What passes by itself, or can't be done yet. */
function WaitFace(props: FaceProps) {
  const { run, task, tasks, rules, seen, onBack } = props;
  const showing = useShowing();
  const { sheet } = run.snapshot;
  const isRunning = seen.waits.some(({ id }) => id === task.id);
  const first = task.unmet.flatMap((id) => tasks.find((each) => each.id === id) ?? []);
  return (
    <section className="plate flex min-h-0 flex-1 flex-col items-start gap-4 overflow-y-auto p-6">
      <h2 className="text-2xl font-semibold">{taskName(task, sheet)}</h2>
      <WaitNow {...props} />
      <p className={isRunning ? 'text-xl' : 'text-3xl leading-snug'}>
        {taskSentence(task, sheet, rules, showing)}
      </p>
      {first.length > 0 ? (
        <p className="text-xl">
          First: <strong>{first.map((each) => taskName(each, sheet)).join(', ')}</strong>.
        </p>
      ) : (
        <p className="quiet text-xl">Nothing is ticked here. Go on with what comes next when it is over.</p>
      )}
      <BackButton onBack={onBack} />
    </section>
  );
}

function DoFace(props: FaceProps) {
  const { run, task, rules, sending, cautions, onTick, onBack } = props;
  const showing = useShowing();
  const said = usePourSaid();
  const { sheet } = run.snapshot;
  return (
    <section className="plate flex min-h-0 flex-1 flex-col p-6">
      <div className="-m-1 min-h-0 flex-1 overflow-y-auto p-1">
        <h2 className="text-2xl font-semibold">{taskName(task, sheet)}</h2>
        <p className="my-4 text-3xl leading-snug">{taskSentence(task, sheet, rules, showing)}</p>
        <Safety {...props} />
        {task.kind === 'pour' ? <PourMoment {...props} /> : <NotDue {...props} />}
        {task.kind === 'pour' && <PourSaid said={said} standsG={leftOnScale(props)} />}
        <InTheWay {...props} />
        <Cautions cautions={cautions} />
        <OverLimits {...props} />
        <MoreIn {...props} />
      </div>
      <NextButton
        sending={sending}
        onPress={() => {
          if (said.isRead) onTick({ kind: 'done', taskId: task.id, ...pouredAt(props), ...said.event });
        }}
      >
        Done
      </NextButton>
      {onBack && (
        <button type="button" className="btn btn-ghost mt-1 w-full" onClick={onBack}>
          Back to the task in hand
        </button>
      )}
    </section>
  );
}
