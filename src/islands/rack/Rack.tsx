import { useEffect, useMemo, useState } from 'react';
import type { Base } from '../../core/materials/base';
import type { RackAir } from '../../core/rack/rackAir';
import { rackCall } from '../../core/rack/rackCall';
import { roundsOnRack } from '../../core/rack/roundsOnRack';
import type { HeatOnward } from '../../core/run/heatOnward';
import { progress } from '../../core/run/progress';
import type { Run, RunEvent } from '../../core/run/run';
import { nextWords } from '../../words/en/rack/rackWords';
import { taskName } from '../../words/en/work/taskName';
import { useCalls, type WaitCall } from '../bench/useCalls';
import { useHeats } from '../bench/useHeats';
import { withStart } from '../shared/pageData';
import { useShowing, withShowing } from '../shared/showing';
import { useFollowedRuns } from '../shared/useFollowedRuns';
import { AirOfRack } from './AirOfRack';
import { Axis } from './Axis';
import type { OnRack } from './onRack';
import { RackRow } from './RackRow';

interface Props {
  start: Run[];
  /** As it was read last. */
  air: RackAir | null;
}

const TICK_MS = 10_000;
const NOTHING_READ: never[] = [];

/** What sets, waits and is watched: what is due at the left, its time to come to the right. */
function Rack({ start, air }: Props) {
  const { runs, problem, sending, record } = useFollowedRuns(start, true);
  const nowMs = useNow();
  const { locale } = useShowing();
  const known = useMemo(() => runs.map((run) => ({ run, so: progress(run) })), [runs]);
  const setting = useMemo(
    () => known.filter(({ so }) => so.ended === null).map(({ run }) => ({ run, readings: NOTHING_READ })),
    [known],
  );
  const heats = useHeats(setting, 0);
  const rows = useMemo(() => rowsOf(known, heats, nowMs), [known, heats, nowMs]);
  useCalls(
    rows.flatMap((row) => callOf(row, nowMs, locale)),
    '',
    false,
  );
  const [last, setLast] = useState<{ runId: string; taskId: string; says: string } | null>(null);

  async function tick({ run, so }: OnRack, event: RunEvent) {
    const done = await record(run.id, event);
    if (!done) return;
    const task = event.kind === 'done' ? so.tasks.find(({ id }) => id === event.taskId) : undefined;
    setLast(
      task
        ? {
            ...{ runId: run.id, taskId: task.id },
            says: `${run.snapshot.sheet.planName}: ${taskName(task, run.snapshot.sheet)} is done.`,
          }
        : null,
    );
  }

  async function undo() {
    if (last && (await record(last.runId, { kind: 'undone', taskId: last.taskId }))) setLast(null);
  }

  return (
    <>
      <AirOfRack start={air} bases={basesOf(rows)} />
      {problem && (
        <p role="alert" className="text-error plate mb-3 p-3">
          {problem.detail}
        </p>
      )}
      {last && (
        <p role="status" className="plate live mb-3 flex flex-wrap items-center gap-3 px-4 py-1">
          <span className="flex-1">{last.says}</span>
          <button
            type="button"
            className="btn btn-secondary min-h-11"
            disabled={sending !== null}
            onClick={undo}
          >
            Undo
          </button>
        </p>
      )}
      {rows.length === 0 ? (
        <p className="plate p-5">
          Nothing is on the rack. What is poured comes here to set, and stays until it is out, looked at and
          wrapped.{' '}
          <a className="link" href="/bench">
            To the bench
          </a>
        </p>
      ) : (
        <div className="plate p-2">
          <Axis />
          <ul aria-label="On the rack">
            {rows.map((row) => (
              <RackRow
                key={`${row.run.id} ${row.round.round}`}
                row={row}
                nowMs={nowMs}
                sending={sending === row.run.id}
                onEvent={(event) => void tick(row, event)}
              />
            ))}
          </ul>
        </div>
      )}
    </>
  );
}

/** Bases of what is not wrapped yet. */
function basesOf(rows: readonly OnRack[]): Base[] {
  const open = rows.filter(({ round }) => round.due.every(({ kind }) => kind !== 'look-again'));
  return open.flatMap(({ run }) => run.snapshot.sheet.pours.map(({ base }) => base));
}

function useNow(): number {
  const [nowMs, setNowMs] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return nowMs;
}

/** What is due calls once, and once more after it was felt and was not ready. */
function callOf({ run, so, round }: OnRack, nowMs: number, locale: string): WaitCall[] {
  const call = rackCall(run, so, round, nowMs);
  const [next] = round.due;
  if (!call || !next) return [];
  const words = `${call.planName}: ${nextWords(next, nowMs, locale)}`;
  return [{ runId: run.id, id: call.id, words, isOver: call.dueMs <= nowMs }];
}

/** What is due first stands first. */
function rowsOf(
  known: readonly Omit<OnRack, 'round'>[],
  heats: ReadonlyMap<string, HeatOnward | null>,
  nowMs: number,
): OnRack[] {
  return known
    .flatMap(({ run, so }) =>
      roundsOnRack(run, so, nowMs, heats.get(run.id) ?? null).map((round) => ({ run, so, round })),
    )
    .sort((a, b) => (a.round.due[0]?.due.middle ?? 0) - (b.round.due[0]?.due.middle ?? 0));
}

export default withShowing(withStart('runs', Rack));
