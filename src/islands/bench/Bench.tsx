import { useEffect, useMemo, useState } from 'react';
import { concernsTask } from '../../core/checks/concernsTask';
import { progress, withReadings } from '../../core/run/progress';
import type { Run, RunEvent } from '../../core/run/run';
import type { TaskState } from '../../core/run/taskStates';
import type { RunStock } from '../../core/stock/runStock';
import { withStart } from '../shared/pageData';
import { withShowing } from '../shared/showing';
import { Away } from './Away';
import { type RehearsalWorld, useBenchWorld } from './benchWorld';
import { EndedRun } from './EndedRun';
import { FinishForm } from './FinishForm';
import { InstrumentDrawer } from './InstrumentDrawer';
import { TaskFace } from './TaskFace';
import { TaskList } from './TaskList';
import { useAccepted } from './useAccepted';
import { useJugSoFar } from './useJugSoFar';
import { useLots } from './useLots';
import { useOnward } from './useOnward';
import { useOtherRuns } from './useOtherRuns';
import { usePedal } from './usePedal';
import { useRun } from './useRun';
import { useRunCalls } from './useRunCalls';
import { useScale } from './useScale';
import { useStandInJug } from './useStandInJug';
import { useThermometer } from './useThermometer';
import { Waits } from './Waits';

interface Props {
  start: Run;
  stock: RunStock;
}

/** One task at a time, legible at two metres. */
export function Bench({ start, stock }: Props) {
  const { run, waiting, away, problem, sending, record } = useRun(start);
  const so = useMemo(() => progress(run), [run]);
  const thermometer = useThermometer(run);
  const { tasks, inHand, ended, touches } = so;
  const readings = useMemo(() => withReadings(so, thermometer.readings).readings, [so, thermometer.readings]);
  const others = useOtherRuns(start.id);
  const seen = useOnward(run, so, thermometer.readings, others);
  useStandInJug(thermometer, seen, so.room?.tempC ?? run.snapshot.sheet.making.room.tempC);
  const lots = useLots(run, tasks, stock, waiting);
  const [lookedAt, setLookedAt] = useState<string | null>(null);
  const task = tasks.find(({ id }) => id === lookedAt) ?? inHand;
  const [typed, setTyped] = useKeptText(`tallow.weight.${run.id}.${task?.id ?? 'end'}`);
  const { sheet, findings, rules } = run.snapshot;
  const calls = useRunCalls(run, so, seen);
  usePedal();
  const { rehearsal } = useBenchWorld();

  const scale = useScale(run, task);
  const { shown, over } = useJugSoFar(run, tasks, task, typed, scale);

  useEffect(() => rehearsal?.onSeen({ run, so, seen, record, standIn: scale.standIn }));

  async function send(event: RunEvent, instrument: string | null = null) {
    const done = await record(event, instrument === null ? undefined : { instrumentId: instrument });
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
    if (task) void send({ kind: 'weighed', taskId: task.id, massG, ...lotId }, scale.instrument);
  });

  if (ended) return <EndedRun run={run} ended={ended} away={away} waiting={waiting} others={others} />;

  return (
    <div className="grid h-full gap-2 p-2 md:grid-cols-[250px_1fr]">
      <TaskList
        run={run}
        tasks={shown}
        at={task?.id ?? null}
        onLook={(id) => setLookedAt(id === inHand?.id ? null : id)}
        room={so.room}
        onRead={record}
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
            thermometer={thermometer}
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
        {scale.isDrawerOpen && (
          <InstrumentDrawer
            scale={scale}
            thermometer={thermometer}
            targetG={task && putOf(task, rehearsal)}
          />
        )}
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

export default withShowing(withStart('run', Bench));

/** What a hand puts on a stand-in scale, g; in a rehearsal more than was aimed at, where that is a mishap. */
function putOf({ id, targetG }: TaskState, rehearsal: RehearsalWorld | null): number | null {
  return targetG === null ? null : targetG * (rehearsal?.putTimes(id) ?? 1);
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
