import { useEffect, useMemo, useState } from 'react';
import { concernsTask } from '../../core/checks/concernsTask';
import type { Found } from '../../core/checks/finding';
import { overLimits } from '../../core/run/overLimits';
import { baseTaskId, progress, rescaled } from '../../core/run/progress';
import type { Run, RunEvent } from '../../core/run/run';
import { typedWeight } from '../../core/run/typedWeight';
import type { RunStock } from '../../core/stock/runStock';
import { useShowing, withShowing } from '../shared/showing';
import { Away } from './Away';
import { EndedRun } from './EndedRun';
import { FinishForm } from './FinishForm';
import { ScaleDrawer } from './OnTheScale';
import { TaskFace } from './TaskFace';
import { TaskList } from './TaskList';
import { useAccepted } from './useAccepted';
import { useLots } from './useLots';
import { useOnward } from './useOnward';
import { usePedal } from './usePedal';
import { useRun } from './useRun';
import { useRunCalls } from './useRunCalls';
import { useScale } from './useScale';
import { Waits } from './Waits';

interface Props {
  start: Run;
  stock: RunStock;
}

/** One task at a time, legible at two metres. */
function Bench({ start, stock }: Props) {
  const showing = useShowing();
  const { run, waiting, away, problem, sending, record } = useRun(start);
  const so = useMemo(() => progress(run), [run]);
  const { tasks, inHand, ended, touches, readings } = so;
  const seen = useOnward(run, so);
  const lots = useLots(run, tasks, stock, waiting);
  const [lookedAt, setLookedAt] = useState<string | null>(null);
  const task = tasks.find(({ id }) => id === lookedAt) ?? inHand;
  const [typed, setTyped] = useKeptText(`tallow.weight.${run.id}.${task?.id ?? 'end'}`);
  const { sheet, findings, rules } = run.snapshot;
  // What the plan passes already was told there.
  const planned = useMemo(() => new Set(findings.map(limitKey)), [findings]);

  const calls = useRunCalls(run, so, seen);
  usePedal();

  // What is typed for the base moves every dose of its jug at once, before it is ticked.
  const parsed = task && typedWeight(typed, task, sheet, showing.system);
  const scale = useScale(run, task);
  const shownG = scale.watch && scale.watch.place !== 'nothing' ? scale.watch.nettoG : null;
  const typedG = typed.trim() === '' ? shownG : parsed?.success && parsed.data > 0 ? parsed.data : null;
  const typedBase = task?.kind === 'weigh-base' && task.doneAt === null ? task : null;
  const shown = tasks.map((each) =>
    typedBase &&
    typedG !== null &&
    each.kind === 'weigh-dose' &&
    each.into !== 'dish' &&
    baseTaskId(run.snapshot, each) === typedBase.id
      ? { ...each, targetG: rescaled(each.massG, typedBase.massG, typedG) }
      : each,
  );

  const over = task
    ? overLimits(
        sheet,
        { tasks },
        { round: task.round, load: task.load, pourIndex: task.pourIndexes[0] ?? -1 },
        typedG === null ? null : { taskId: task.id, massG: typedG },
      ).filter(({ finding }) => !planned.has(limitKey(finding)))
    : [];

  async function send(event: RunEvent) {
    const done = await record(event);
    if (done) {
      // More base is weighed for what stands on the scale: that is still to be ticked.
      if (event.kind !== 'topped-up') setTyped('');
      // What was seen of a wait or a jug is looked on at.
      if (event.kind !== 'measured' && event.kind !== 'forgotten') setLookedAt(null);
    }
  }

  const ofTask = lots.ofTask(task);
  useAccepted(task, scale, typed === '' && over.length === 0, (massG) => {
    const lotId = ofTask.lot ? { lotId: ofTask.lot.id } : {};
    if (task) void send({ kind: 'weighed', taskId: task.id, massG, ...lotId });
  });

  if (ended) return <EndedRun run={run} ended={ended} away={away} waiting={waiting} />;

  return (
    <div className="grid h-full gap-2 p-2 md:grid-cols-[250px_1fr]">
      <TaskList
        run={run}
        tasks={shown}
        at={task?.id ?? null}
        onLook={(id) => setLookedAt(id === inHand?.id ? null : id)}
        onGiveUp={(isPutBack) => record({ kind: 'abandoned', note: '', ...(isPutBack ? { isPutBack } : {}) })}
      />
      <div className="flex min-h-0 flex-col gap-2">
        <Away away={away} waiting={waiting} />
        {problem && (
          <p role="alert" className="plate border-error text-error px-4 py-2 text-lg font-semibold">
            {problem.detail}
          </p>
        )}
        {task ? (
          <TaskFace
            key={task.id}
            run={run}
            task={shown.find(({ id }) => id === task.id) ?? task}
            tasks={tasks}
            typed={typed}
            rules={rules}
            seen={seen}
            scale={scale}
            lots={ofTask}
            touches={touches}
            readings={readings}
            sending={sending && typed === ''}
            cautions={findings.filter(
              (finding) => finding.severity === 'caution' && concernsTask(finding, task, sheet),
            )}
            over={over}
            onType={setTyped}
            onTick={send}
            onUndo={() => send({ kind: 'undone', taskId: task.id })}
            onLook={setLookedAt}
            onBack={lookedAt === null ? null : () => setLookedAt(null)}
          />
        ) : (
          <FinishForm run={run} stock={lots.stock} sending={sending} onFinish={record} />
        )}
        {scale.isDrawerOpen && <ScaleDrawer scale={scale} targetG={task?.targetG ?? null} />}
        <Waits
          sheet={sheet}
          seen={seen}
          at={task?.id ?? null}
          calls={calls}
          scale={scale}
          onLook={(id) => setLookedAt(id === inHand?.id ? null : id)}
        />
      </div>
    </div>
  );
}

export default withShowing(Bench);

function limitKey({ code, pourIndex, about }: Found): string {
  return `${code} ${pourIndex} ${about}`;
}

/** A text that outlives a reload: what was typed and not ticked yet. */
function useKeptText(key: string): [string, (text: string) => void] {
  const [text, setText] = useState('');
  useEffect(() => setText(localStorage.getItem(key) ?? ''), [key]);
  const keep = (next: string) => {
    setText(next);
    if (next === '') localStorage.removeItem(key);
    else localStorage.setItem(key, next);
  };
  return [text, keep];
}
