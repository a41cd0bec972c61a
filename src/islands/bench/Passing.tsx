import { type ReactNode, useState } from 'react';
import { ceiling } from '../../core/materials/defaults';
import type { Sheet } from '../../core/plan/sheet';
import type { JugOnward } from '../../core/run/heatOnward';
import { rewarmedC } from '../../core/run/jugThen';
import { mayLeavePourOut } from '../../core/run/leftOut';
import type { PourWindow } from '../../core/run/onward';
import type { TaskState } from '../../core/run/taskStates';
import {
  clockTime,
  countdown,
  type WindowSaid,
  waitWords,
  windowWords,
} from '../../words/en/run/onwardWords';
import { taskName } from '../../words/en/work/taskName';
import { useShowing } from '../shared/showing';
import type { FaceProps } from './faceProps';
import { JugReadings } from './JugReadings';
import { mayAskToNotify } from './useCalls';

/** What is due sooner may as well be done now. */
const NOT_DUE_MS = 90_000;

const STATE_LOOKS: Record<WindowSaid['state'], string> = {
  early: 'border-base-300',
  open: 'border-success',
  hurry: 'border-warning',
  late: 'border-error',
};

/** Whether a pour may be poured now, by its window and by its jugs. */
export function PourMoment(props: FaceProps) {
  const { task, seen } = props;
  const window = seen.windows.find(({ pourTaskId }) => pourTaskId === task.id);
  const isLate = window !== undefined && window.closesMs < seen.nowMs;
  return (
    <>
      {window && (
        <WindowNow
          window={window}
          jug={seen.heat?.jugs.find(({ pourTaskId }) => pourTaskId === task.id)}
          nowMs={seen.nowMs}
        >
          {isLate && <LeaveOut {...props} />}
        </WindowNow>
      )}
      <Jugs {...props} pourTaskId={task.id} rewarmC={isLate ? window.rewarmC : null} />
    </>
  );
}

/** What is too late for its layer need not spoil the rest. */
function LeaveOut({ task, tasks, sending, onTick }: FaceProps) {
  const isLeftOut = (id: string) => tasks.some((each) => each.id === id && each.isLeftOut);
  if (!mayLeavePourOut(task, tasks, isLeftOut)) return null;
  return (
    <button
      type="button"
      className="btn btn-secondary btn-lg ml-auto"
      disabled={sending}
      onClick={() => onTick({ kind: 'left-out', taskId: task.id })}
    >
      Leave this layer out
    </button>
  );
}

function WindowNow({
  window,
  jug,
  nowMs,
  children,
}: {
  window: PourWindow;
  /** What it is poured from. */
  jug: JugOnward | undefined;
  nowMs: number;
  /** What can be done in it besides. */
  children: ReactNode;
}) {
  const showing = useShowing();
  const { state, title, untilMs, sentence } = windowWords(
    window,
    rewarmedC(window, jug, nowMs),
    nowMs,
    showing,
  );
  return (
    <div
      data-state={state}
      className={`my-2 flex flex-wrap items-baseline gap-x-4 rounded-lg border-4 p-3 ${STATE_LOOKS[state]}`}
    >
      <strong className="text-4xl" role="status">
        {title}
      </strong>
      {untilMs !== null && (
        <span className="font-mono text-4xl font-semibold">{countdown(untilMs - nowMs)}</span>
      )}
      {children}
      <span className="w-full text-xl">{sentence}</span>
    </div>
  );
}

function Jugs({
  run,
  tasks,
  seen,
  readings,
  thermometer,
  pourTaskId,
  rewarmC,
  onTick,
}: FaceProps & { pourTaskId: string; rewarmC: PourWindow['rewarmC'] }) {
  const { sheet } = run.snapshot;
  return seen.heat?.jugs
    .filter((jug) => jug.pourTaskId === pourTaskId)
    .map((jug) => {
      const melt = tasks.find(({ id }) => id === jug.taskId);
      return (
        <JugReadings
          key={jug.taskId}
          jug={jug}
          rewarmC={rewarmC}
          name={jugName(melt, sheet)}
          nowMs={seen.nowMs}
          readings={readings.filter(({ taskId }) => taskId === jug.taskId)}
          ceilingC={ceilingOf(melt, sheet)}
          thermometer={thermometer}
          onEvent={onTick}
        />
      );
    });
}

function ceilingOf(melt: TaskState | undefined, { pours }: Sheet): number | null {
  const pour = pours[melt?.pourIndexes[0] ?? -1];
  return pour ? ceiling(pour.base).value : null;
}

function jugName(melt: TaskState | undefined, sheet: Sheet): string {
  const named = melt?.jugs.map(({ name }) => name).join(', ');
  const pour = sheet.pours[melt?.pourIndexes[0] ?? 0];
  return named || `Jug of ${sheet.pours.length > 1 ? pour?.letter : pour?.base.name}`;
}

/** What passes by itself, large: how long still, and what a touch or a thermometer says. */
export function WaitNow(props: FaceProps) {
  const { run, task, tasks, seen, touches, onTick } = props;
  const { sheet } = run.snapshot;
  const wait = seen.waits.find(({ id }) => id === task.id);
  if (!wait) return null;
  const isOver = wait.toMs <= seen.nowMs;
  const pour = tasks.find(
    (each) => each.kind === 'pour' && each.doneAt === null && each.needs.includes(task.id),
  );
  return (
    <>
      <p className="text-2xl" data-testid="wait">
        {waitWords(wait, sheet, isOver)}{' '}
        <span className="block font-mono text-8xl leading-none font-semibold">
          {isOver ? `${countdown(seen.nowMs - wait.toMs)} ago` : countdown(wait.toMs - seen.nowMs)}
        </span>
      </p>
      {!isOver && <AskToNotify />}
      {task.kind === 'skin' && (
        <div className="flex flex-wrap items-center gap-3">
          <span className="text-xl">Touch it:</span>
          <button
            type="button"
            className="btn btn-primary h-20 px-8 text-2xl"
            onClick={() => onTick({ kind: 'touched', taskId: task.id, carries: true })}
          >
            It carries
          </button>
          <button
            type="button"
            className="btn btn-secondary h-20 px-8 text-2xl"
            onClick={() => onTick({ kind: 'touched', taskId: task.id, carries: false })}
          >
            Not yet
          </button>
          {touches.some(({ taskId }) => taskId === task.id) && (
            <button
              type="button"
              className="btn btn-ghost btn-lg"
              onClick={() => onTick({ kind: 'forgotten', taskId: task.id })}
            >
              Forget the last touch
            </button>
          )}
        </div>
      )}
      {task.kind === 'cool' && pour && (
        <>
          <p className="quiet text-xl">It is for {taskName(pour, sheet)}.</p>
          <Jugs {...props} pourTaskId={pour.id} rewarmC={null} />
        </>
      )}
    </>
  );
}

/** Where another page may be in front of the bench when it is over. */
function AskToNotify() {
  const [isAsked, setIsAsked] = useState(!mayAskToNotify());
  if (isAsked) return null;
  return (
    <button
      type="button"
      className="btn btn-secondary btn-lg"
      onClick={() => void Notification.requestPermission().then(() => setIsAsked(true))}
    >
      Notify me when it is over
    </button>
  );
}

/** What is done too soon stands, cools or dries: when it is due, where that is a while. */
export function NotDue({ task, seen }: FaceProps) {
  const { locale } = useShowing();
  const dueMs = seen.tasks.find(({ id }) => id === task.id)?.fromMs ?? 0;
  if (dueMs - seen.nowMs < NOT_DUE_MS) return null;
  return (
    <p className="border-base-300 my-2 rounded-lg border-4 p-3 text-2xl">
      Due at {clockTime(dueMs, locale)}, in{' '}
      <span className="font-mono font-semibold">{countdown(dueMs - seen.nowMs)}</span>
    </p>
  );
}

/** A reading that is so old still says how warm it is poured. */
const FRESH_MS = 90_000;

/** How warm it is poured, where a thermometer was just in its jug. */
export function pouredAt({ task, seen, readings }: FaceProps): { tempC?: number } {
  const jugs = seen.heat?.jugs.filter(({ pourTaskId }) => pourTaskId === task.id) ?? [];
  const last = readings.findLast(({ taskId }) => jugs.some((jug) => jug.taskId === taskId));
  return last && seen.nowMs - Date.parse(last.at) < FRESH_MS ? { tempC: last.tempC } : {};
}
