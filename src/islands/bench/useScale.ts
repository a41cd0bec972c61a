import { useEffect, useMemo, useRef, useState } from 'react';
import type { Run } from '../../core/run/run';
import { type ScaleReading, type ScaleWatch, scaleTarget, watchScale } from '../../core/run/scaleWatch';
import type { TaskState } from '../../core/run/taskStates';
import { type LinePort, serialLines } from '../../instruments/serialLines';
import type { StandInRequest } from '../../workers/standInProtocol';
import { useBenchWorld } from './benchWorld';
import { keepEmptyJug } from './emptyJugs';
import { listenToPushed, listenToStandIn, type OnReading } from './readingSources';
import { useRecorder } from './useRecorder';
import { useZero } from './useZero';

/** Where readings come from: whatever is pushed to the server, a stand-in on this page, or a cable. */
export type ScaleSource = 'pushed' | 'stand-in' | 'cable';

export interface LiveScale {
  source: ScaleSource;
  /** This browser can read from a cable. */
  canCable: boolean;
  /** What is read; null while nothing is. */
  instrument: string | null;
  /** All that stands on it, g; null while nothing is read. */
  loadG: number | null;
  /** The weighing in hand; null while nothing is read. */
  watch: ScaleWatch | null;
  fault: 'gone' | 'overload' | null;
  /** A weighing is ticked by itself once it stands still in its band. */
  accepts: boolean;
  choose(source: ScaleSource): void;
  toggleAccepts(): void;
  /** What stands on the scale now counts as nothing. */
  zero(): void;
  /** Where the scale is chosen, and the stand-in is worked. */
  isDrawerOpen: boolean;
  toggleDrawer(): void;
  /** Works the stand-in. */
  standIn(request: StandInRequest): void;
}

const KEPT_MS = 6000;
/** Nothing for so long: it is gone. */
const SILENT_MS = 4000;
const BAUD_RATE = 9600;
const CABLE = 'scale on the cable';
const STAND_IN = 'stand-in scale';
const ACCEPTS = 'tallow.bench.accepts';
const SOURCE = 'tallow.bench.scale';

interface Serial {
  requestPort(): Promise<LinePort>;
}
const serialOf = () => (navigator as unknown as { serial?: Serial }).serial;

/** The scale at the bench, for the weighing in hand. */
export function useScale({ id: runId, events, snapshot: { rules } }: Run, task: TaskState | null): LiveScale {
  const weighed = events.filter(({ event }) => event.kind === 'weighed').length;
  const { rehearsal } = useBenchWorld();
  const [source, setSource] = useState<ScaleSource>(() =>
    rehearsal !== null || localStorage.getItem(SOURCE) === 'stand-in' ? 'stand-in' : 'pushed',
  );
  const [port, setPort] = useState<LinePort | null>(null);
  const [accepts, setAccepts] = useState(() => localStorage.getItem(ACCEPTS) !== null);
  const [readings, setReadings] = useState<readonly ScaleReading[]>([]);
  const [isDrawerOpen, setDrawerOpen] = useState(rehearsal !== null);
  const [fault, setFault] = useState<LiveScale['fault']>(null);
  const worker = useRef<Worker | null>(null);
  const [instrument, setInstrument] = useState<string | null>(null);
  const seed = rehearsal?.seed ?? 1;
  const targetG = task?.doneAt === null ? task.targetG : null;
  const record = useRecorder(runId, 'mass', targetG === null ? 0 : scaleTarget(targetG, rules).stepG);
  const now = useRef(record);
  now.current = record;
  const lastMs = readings.at(-1)?.atMs ?? 0;

  useEffect(() => {
    setReadings([]);
    setFault(null);
    return listenTo(source, port, seed, worker, (reading, name) => {
      if (reading.kind === 'temperature') return;
      setInstrument(name);
      setFault(reading.kind === 'mass' ? null : reading.kind);
      if (reading.kind === 'mass') {
        now.current(name, { atMs: reading.atMs, value: reading.massG }, null);
        setReadings((all) => [...all.filter(({ atMs }) => reading.atMs - atMs < KEPT_MS), reading]);
      } else if (reading.kind === 'gone') setReadings([]);
    });
  }, [source, port, seed]);

  useEffect(() => {
    if (lastMs === 0) return;
    const timer = setTimeout(() => {
      setFault('gone');
      setReadings([]);
    }, SILENT_MS);
    return () => clearTimeout(timer);
  }, [lastMs]);

  const last = readings.at(-1);
  const [zero, setZero] = useZero(runId, task?.id ?? null, weighed, readings);

  // What stood there when the base of a jug was begun is its empty jug.
  const jugTaskId = task?.kind === 'weigh-base' && task.doneAt === null ? task.id : null;
  useEffect(() => {
    if (jugTaskId !== null && zero !== null) keepEmptyJug(runId, jugTaskId, zero.massG);
  }, [runId, jugTaskId, zero]);

  const watch = useMemo(
    () =>
      targetG === null || zero === null ? null : watchScale(readings, zero, scaleTarget(targetG, rules)),
    [readings, zero, targetG, rules],
  );

  return {
    source,
    canCable: serialOf() !== undefined,
    instrument: last === undefined ? null : instrument,
    loadG: last?.massG ?? null,
    watch,
    fault,
    accepts,
    choose(next) {
      if (next === 'cable')
        void serialOf()
          ?.requestPort()
          .then((chosen) => {
            setPort(chosen);
            setSource('cable');
          })
          .catch(() => undefined);
      else setSource(next);
      if (next === 'stand-in') localStorage.setItem(SOURCE, next);
      else localStorage.removeItem(SOURCE);
    },
    toggleAccepts() {
      setAccepts(!accepts);
      // What is tried in a rehearsal is no choice for the bench.
      if (rehearsal) return;
      if (accepts) localStorage.removeItem(ACCEPTS);
      else localStorage.setItem(ACCEPTS, '1');
    },
    isDrawerOpen,
    toggleDrawer: () => setDrawerOpen(!isDrawerOpen),
    zero: setZero,
    standIn: (request) => worker.current?.postMessage(request),
  };
}

function listenTo(
  source: ScaleSource,
  port: LinePort | null,
  seed: number,
  worker: { current: Worker | null },
  onReading: OnReading,
): () => void {
  if (source === 'cable' && port)
    return serialLines(port, BAUD_RATE, Date.now)((reading) => onReading(reading, CABLE));
  if (source !== 'stand-in') return listenToPushed(onReading);
  const started = new Worker(new URL('../../workers/standIn.worker.ts', import.meta.url), { type: 'module' });
  return listenToStandIn(
    started,
    worker,
    { kind: 'start', seed } satisfies StandInRequest,
    STAND_IN,
    onReading,
  );
}
