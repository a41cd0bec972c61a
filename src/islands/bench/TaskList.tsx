import { Check, Circle, CircleDot, Hourglass, Lock, Minus } from 'lucide-react';
import { memo, useCallback, useEffect, useRef, useState } from 'react';
import type { Run, RunEvent } from '../../core/run/run';
import type { RoomRead } from '../../core/run/said';
import type { TaskState } from '../../core/run/taskStates';
import type { CountedOut } from '../../core/units/counting';
import { showMass } from '../../core/units/showQuantity';
import { isWait } from '../../core/work/task';
import { weighedLine } from '../../core/work/weighedLine';
import { lengthWords } from '../../words/en/lengthWords';
import { counted as countOf } from '../../words/en/plural';
import { showCount } from '../../words/en/units/showCount';
import { taskName } from '../../words/en/work/taskName';
import { useShowing } from '../shared/showing';
import { useBenchWorld } from './benchWorld';
import { Filling } from './Filling';
import { RoomNow } from './RoomNow';

interface Props {
  run: Run;
  tasks: TaskState[];
  /** The task that is shown; null at the end. */
  at: string | null;
  onLook(taskId: string): void;
  room: RoomRead | null;
  onRead(event: RunEvent): void;
  /** @param isPutBack what was weighed was not, and goes back onto the shelf */
  onGiveUp(isPutBack: boolean): void;
}

/** Tasks done and to come, round by round, each with the weight that is aimed at now. */
export function TaskList({ run, tasks, at, room, onLook, onRead, onGiveUp }: Props) {
  const isMade = useBenchWorld().rehearsal === null;
  const list = useRef<HTMLDivElement>(null);
  const looks = useRef(onLook);
  looks.current = onLook;
  const look = useCallback((taskId: string) => looks.current(taskId), []);
  const { sheet } = run.snapshot;
  const rounds = roundsOf(tasks);
  const here = tasks.find(({ id }) => id === at);
  useEffect(() => {
    list.current?.querySelector(`[data-task="${at}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [at]);
  return (
    <nav className="plate flex min-h-0 flex-col p-3" aria-label="Tasks">
      <h1 className="text-lg leading-tight font-semibold">{sheet.planName}</h1>
      <p className="quiet text-sm">
        {run.snapshot.isTrial && 'Trial of '}
        {countOf(sheet.pieces, 'piece', 'pieces')}
        {rounds.length > 1 && here && `, round ${here.round + 1} of ${rounds.length}`}
        {run.code !== null && (
          <>
            {' '}
            · batch <strong className="whitespace-nowrap">{run.code}</strong>
          </>
        )}
      </p>
      <RoomNow run={run} room={room} onRead={onRead} />
      <Filling sheet={sheet} tasks={tasks} round={here?.round ?? rounds.at(-1) ?? 0} />
      <div ref={list} className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto">
        <Rounds run={run} tasks={tasks} at={at} onLook={look} />
      </div>
      {isMade && <GiveUp onGiveUp={onGiveUp} />}
    </nav>
  );
}

/** The tasks round by round: drawn anew where they change, and not with every reading of a scale. */
const Rounds = memo(function Rounds({
  run,
  tasks,
  at,
  onLook,
}: Pick<Props, 'run' | 'tasks' | 'at' | 'onLook'>) {
  const { sheet } = run.snapshot;
  const rounds = roundsOf(tasks);
  return rounds.map((round) => (
    <section key={round} aria-label={`Round ${round + 1}`}>
      {rounds.length > 1 && <h2 className="quiet text-sm font-semibold">Round {round + 1}</h2>}
      <ol className="flex flex-col gap-1">
        {tasks
          .filter((task) => task.round === round)
          .map((task) => (
            <TaskItem
              key={task.id}
              task={task}
              name={taskName(task, sheet)}
              counted={weighedLine(sheet, task)?.counted ?? null}
              isHere={task.id === at}
              onLook={onLook}
            />
          ))}
      </ol>
    </section>
  ));
});

function roundsOf(tasks: readonly TaskState[]): number[] {
  return [...new Set(tasks.map(({ round }) => round))].sort((a, b) => a - b);
}

/** Asks before a run leaves the bench for good, and what becomes of what it took off the shelf. */
function GiveUp({ onGiveUp }: Pick<Props, 'onGiveUp'>) {
  const sure = useRef<HTMLDialogElement>(null);
  const [isPutBack, setPutBack] = useState(false);
  return (
    <>
      <button
        type="button"
        className="btn btn-ghost btn-sm min-h-11"
        onClick={() => sure.current?.showModal()}
      >
        Give this run up
      </button>
      <dialog ref={sure} className="modal" aria-labelledby="give-up-title">
        <div className="modal-box plate shadow-none">
          <h2 id="give-up-title" className="text-xl font-semibold">
            Give this run up?
          </h2>
          <p className="my-3">
            It leaves the bench and does not go into the Logbook. What was weighed stays on record, and is off
            the shelf.
          </p>
          <label className="flex min-h-12 items-center gap-3">
            <input
              type="checkbox"
              className="checkbox"
              checked={isPutBack}
              onChange={({ target }) => setPutBack(target.checked)}
            />
            It was not really weighed: put it back onto the shelf
          </label>
          <form method="dialog" className="modal-action">
            <button type="submit" className="btn btn-primary">
              Keep on
            </button>
            <button type="submit" className="btn btn-error btn-outline" onClick={() => onGiveUp(isPutBack)}>
              Give it up
            </button>
          </form>
        </div>
      </dialog>
    </>
  );
}

interface ItemProps {
  task: TaskState;
  name: string;
  counted: CountedOut | null;
  isHere: boolean;
  onLook(taskId: string): void;
}

function TaskItem({ task, name, counted, isHere, onLook }: ItemProps) {
  const showing = useShowing();
  const weightG = task.actualG ?? task.targetG;
  const isDone = task.doneAt !== null;
  const isLocked = !isDone && task.unmet.length > 0;
  const Icon = task.isLeftOut
    ? Minus
    : isDone
      ? Check
      : isWait(task)
        ? Hourglass
        : isHere
          ? CircleDot
          : isLocked
            ? Lock
            : Circle;
  return (
    <li>
      <button
        type="button"
        data-task={task.id}
        aria-current={isHere ? 'step' : undefined}
        className={`flex min-h-12 w-full cursor-pointer items-center gap-2 rounded-lg px-2 text-left ${isHere ? 'live font-semibold' : 'hover:bg-base-200'} ${isLocked || isWait(task) ? 'quiet' : ''}`}
        onClick={() => onLook(task.id)}
      >
        <Icon size={18} className="shrink-0" aria-hidden="true" />
        <span className="flex-1 leading-tight">
          {name}
          <span className="sr-only">
            {task.isLeftOut
              ? ''
              : isDone
                ? ', ticked'
                : isWait(task)
                  ? ', a wait'
                  : isLocked
                    ? ', not yet'
                    : ''}
          </span>
        </span>
        {weightG !== null && (
          <span className="whitespace-nowrap">
            {task.isLeftOut
              ? 'left out'
              : counted
                ? showCount(counted, weightG, showing)
                : showMass(weightG, showing)}
          </span>
        )}
        {isWait(task) && !task.isLeftOut && task.toS > task.fromS && (
          <span className="text-sm whitespace-nowrap">
            {lengthWords(task.toS - task.fromS, showing.locale)}
          </span>
        )}
      </button>
    </li>
  );
}
