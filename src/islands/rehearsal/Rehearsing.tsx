import { type ReactNode, useEffect, useMemo, useRef, useState } from 'react';
import { placeDare } from '../../core/rehearsal/dares';
import { type Mishap, placeMishaps } from '../../core/rehearsal/mishaps';
import { progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import { NO_STOCK } from '../../core/stock/runStock';
import { DARE_WORDS, mishapWords } from '../../words/en/rehearsal/rehearsalWords';
import { clockTime } from '../../words/en/run/onwardWords';
import { Bench } from '../bench/Bench';
import { type BenchSeen, type BenchWorld, InWorld } from '../bench/benchWorld';
import { useShowing } from '../shared/showing';
import { keepRehearsal, type UnderWay } from './keptRehearsal';
import { RehearsalReport } from './RehearsalReport';
import type { Setup, Way } from './setup';
import { type FastClock, useFastClock } from './useFastClock';

interface Props {
  start: UnderWay;
  back: Way;
  onAgain(): void;
}

/** What is not due for so long is waited for, ms. */
const SOON_MS = 3000;

/** The bench of a rehearsal: its clock runs fast while hands only wait, and what goes wrong happens by itself. */
export function Rehearsing({ start: { run: start, setup, happened: before, atMs }, back, onAgain }: Props) {
  const clock = useFastClock(atMs);
  const mishaps = useMemo(
    () => placeMishaps(start.snapshot.tasks, setup.mishaps, setup.seed),
    [start, setup],
  );
  const dare = useMemo(
    () => (setup.dare === null ? null : placeDare(setup.dare, start.snapshot.tasks)),
    [start, setup],
  );
  const [notices, setNotices] = useState<readonly string[]>([]);
  const [waitsUntilMs, setWaitsUntilMs] = useState<number | null>(null);
  const [isDared, setIsDared] = useState(false);
  /** With what really went wrong until then. */
  const [ended, setEnded] = useState<{ run: Run; mishaps: Mishap[] } | null>(null);
  const happened = useRef(new Set(mishaps.filter(({ kind }) => before.includes(kind))));
  const last = useRef<Run>(start);

  const { now, face, run: runClock, putOn } = clock;
  const world = useMemo<BenchWorld>(() => {
    const coldK = mishaps.find((each) => each.kind === 'cold-room')?.byK ?? 0;
    function onSeen(bench: BenchSeen) {
      last.current = bench.run;
      const dueMs = dueOf(bench);
      const isIdle = dueMs !== null && dueMs - bench.seen.nowMs > SOON_MS;
      setWaitsUntilMs(isIdle ? dueMs : null);
      runClock(isIdle ? setup.speed : 1);
      setIsDared(dare !== null && bench.so.inHand?.id === dare.taskId);
      for (const mishap of mishaps) {
        if (happened.current.has(mishap) || !isNow(mishap, bench)) continue;
        happened.current.add(mishap);
        happen(mishap, bench, putOn);
        const words = mishapWords(mishap, bench.so.tasks, bench.run.snapshot.sheet);
        if (words !== null) setNotices((all) => [...all, words]);
      }
      if (bench.so.inHand === null) setEnded({ run: bench.run, mishaps: [...happened.current] });
    }
    return {
      now,
      rehearsal: {
        clock: face,
        seed: setup.seed,
        roomC: start.snapshot.sheet.making.room.tempC - coldK,
        putTimes: (taskId) => putTimes(mishaps, taskId),
        onSeen,
      },
    };
  }, [now, face, runClock, putOn, dare, mishaps, setup, start]);

  useEffect(() => {
    const keep = () =>
      keepRehearsal({
        ...{ run: last.current, setup, atMs: now() },
        happened: [...happened.current].map(({ kind }) => kind),
      });
    window.addEventListener('pagehide', keep);
    return () => window.removeEventListener('pagehide', keep);
  }, [setup, now]);

  if (ended) return <RehearsalReport {...ended} setup={setup} back={back} onAgain={onAgain} />;
  return (
    <div className="flex h-full flex-col">
      <RehearsalBar
        setup={setup}
        clock={clock}
        waitsUntilMs={waitsUntilMs}
        onEnd={() => setEnded({ run: last.current, mishaps: [...happened.current] })}
      />
      {notices.map((notice) => (
        <Notice key={notice} says={notice} isAlert>
          <button
            type="button"
            className="btn btn-secondary min-h-11"
            onClick={() => setNotices(notices.filter((each) => each !== notice))}
          >
            Go on
          </button>
        </Notice>
      ))}
      {setup.dare !== null && dare !== null && isDared && (
        <Notice says={DARE_WORDS[setup.dare].told}>
          {dare.leaveS > 0 && (
            <button
              type="button"
              className="btn btn-secondary min-h-11"
              onClick={() => putOn(dare.leaveS * 1000)}
            >
              Leave it for {Math.round(dare.leaveS / 60)} min
            </button>
          )}
        </Notice>
      )}
      <div className="min-h-0 flex-1">
        <InWorld value={world}>
          <Bench start={start} stock={NO_STOCK} />
        </InWorld>
      </div>
    </div>
  );
}

function Notice({ says, isAlert, children }: { says: string; isAlert?: boolean; children: ReactNode }) {
  return (
    <p
      role={isAlert ? 'alert' : 'status'}
      className="plate live mx-2 mt-2 flex flex-none items-center gap-3 px-4 py-1 text-lg font-semibold"
    >
      <span className="flex-1">{says}</span>
      {children}
    </p>
  );
}

interface BarProps {
  setup: Setup;
  clock: FastClock;
  /** Hands have nothing to do until then; null while they have. */
  waitsUntilMs: number | null;
  onEnd(): void;
}

function RehearsalBar({ setup, clock, waitsUntilMs, onEnd }: BarProps) {
  const { locale } = useShowing();
  return (
    <div className="plate mx-2 mt-2 flex flex-none flex-wrap items-center gap-3 px-4 py-1">
      <strong>Rehearsal</strong>
      <span>Nothing is taken, nothing is kept.</span>
      <span className="ml-auto">
        {clock.face.speed > 1 ? `Time runs ${setup.speed} times as fast` : 'Time runs as it does'}
      </span>
      {waitsUntilMs !== null && (
        <button
          type="button"
          className="btn btn-secondary min-h-11"
          onClick={() => clock.putOn(waitsUntilMs - clock.now())}
        >
          On to {clockTime(waitsUntilMs, locale)}
        </button>
      )}
      <button type="button" className="btn btn-ghost min-h-11" onClick={onEnd}>
        End it
      </button>
    </div>
  );
}

/** When the task in hand is due, ms; null at the end. */
function dueOf({ so, seen }: BenchSeen): number | null {
  return seen.tasks.find(({ id }) => id === so.inHand?.id)?.fromMs ?? null;
}

function putTimes(mishaps: readonly Mishap[], taskId: string): number {
  for (const each of mishaps) if (each.kind === 'heavy-base' && each.taskId === taskId) return each.times;
  return 1;
}

function isNow(mishap: Mishap, bench: BenchSeen): boolean {
  const { so, seen } = bench;
  switch (mishap.kind) {
    case 'telephone':
    case 'unplugged': {
      const dueMs = dueOf(bench);
      return so.inHand?.id === mishap.taskId && dueMs !== null && dueMs <= seen.nowMs + SOON_MS;
    }
    case 'early-touch': {
      const wait = seen.waits.find(({ id }) => id === mishap.taskId);
      return wait !== undefined && seen.nowMs >= wait.fromMs + (wait.toMs - wait.fromMs) * mishap.share;
    }
    case 'heavy-base':
      return progress(bench.run).tasks.some(({ id, doneAt }) => id === mishap.taskId && doneAt !== null);
    case 'cold-room':
      return true;
  }
}

function happen(mishap: Mishap, { standIn, record }: BenchSeen, putOn: FastClock['putOn']): void {
  if (mishap.kind === 'telephone') putOn(mishap.lengthS * 1000);
  else if (mishap.kind === 'unplugged') standIn({ kind: 'plug', isIn: false });
  else if (mishap.kind === 'early-touch') record({ kind: 'touched', taskId: mishap.taskId, carries: false });
}
