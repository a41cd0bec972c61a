import { useEffect, useMemo, useRef, useState } from 'react';
import { type KeptReadings, thinnedReadings } from '../../core/run/keptReadings';
import { type PointOfJug, pointsOfJugs, readingsOfJugs } from '../../core/run/readingsOfJugs';
import type { Run } from '../../core/run/run';
import type { JugReading } from '../../core/run/said';
import type { ThermometerRequest } from '../../workers/standInProtocol';
import { callApi } from '../shared/api';
import { useBenchWorld } from './benchWorld';
import { listenToPushed, listenToStandIn, type OnReading } from './readingSources';
import { useRecorder } from './useRecorder';

/** Nothing new for so long: it is gone. */
const SILENT_MS = 15_000;
const SOURCE = 'tallow.bench.thermometer';
const STAND_IN = 'stand-in thermometer';
const SEED = 1;

export type ThermometerSource = 'pushed' | 'stand-in';

/** The thermometer at the bench. */
export interface LiveThermometer {
  source: ThermometerSource;
  choose(source: ThermometerSource): void;
  /** What it shows; null while nothing is read. */
  shown: { tempC: number; instrument: string } | null;
  /** The melt whose jug it stands in, and is read in by itself; null where it is in none. */
  followed: string | null;
  follow(taskId: string | null): void;
  /** What it showed of jugs that it stood in, in order of time. */
  readings: readonly JugReading[];
  /** Works the stand-in. */
  standIn(request: ThermometerRequest): void;
}

export function useThermometer({ id: runId, snapshot: { sheet } }: Run): LiveThermometer {
  const { rehearsal } = useBenchWorld();
  const isMade = rehearsal === null;
  const [source, setSource] = useState<ThermometerSource>(() =>
    rehearsal !== null || localStorage.getItem(SOURCE) === 'stand-in' ? 'stand-in' : 'pushed',
  );
  const [shown, setShown] = useState<{ tempC: number; instrument: string; atMs: number } | null>(null);
  const kept = `tallow.follow.${runId}`;
  const [followed, setFollowed] = useState<string | null>(() => localStorage.getItem(kept));
  const [points, setPoints] = useState<readonly PointOfJug[]>([]);
  const worker = useRef<Worker | null>(null);
  const record = useRecorder(runId, 'temperature', 0);
  const now = useRef({ followed, record });
  now.current = { followed, record };

  useEffect(() => {
    if (!isMade) return;
    void callApi<KeptReadings[]>('GET', `/api/runs/${encodeURIComponent(runId)}/readings`).then((answer) => {
      if (!answer.success) return;
      const known = pointsOfJugs(answer.data);
      setPoints((since) => [...known, ...since]);
    });
  }, [runId, isMade]);

  const roomC = rehearsal?.roomC ?? sheet.making.room.tempC;
  const seed = rehearsal?.seed ?? SEED;
  useEffect(() => {
    setShown(null);
    return listenTo(source, { seed, roomC }, worker, (reading, instrument) => {
      if (reading.kind === 'gone') setShown(null);
      if (reading.kind !== 'temperature') return;
      const { tempC, atMs } = reading;
      setShown({ tempC, instrument, atMs });
      const { followed: taskId, record: keep } = now.current;
      if (taskId === null) return;
      keep(instrument, { atMs, value: tempC }, taskId);
      setPoints((all) => {
        const last = all.findLast((each) => each.taskId === taskId) ?? null;
        const more = thinnedReadings([{ atMs, value: tempC }], last, 'temperature');
        return more.length === 0 ? all : [...all, ...more.map((point) => ({ ...point, taskId }))];
      });
    });
  }, [source, seed, roomC]);

  const clock = rehearsal?.clock;
  useEffect(() => {
    if (clock && source === 'stand-in') worker.current?.postMessage({ kind: 'clock', ...clock });
  }, [clock, source]);

  const lastMs = shown?.atMs ?? 0;
  useEffect(() => {
    if (lastMs === 0) return;
    const timer = setTimeout(() => setShown(null), SILENT_MS);
    return () => clearTimeout(timer);
  }, [lastMs]);

  const readings = useMemo(() => readingsOfJugs(points), [points]);
  return {
    source,
    choose(next) {
      setSource(next);
      if (next === 'stand-in') localStorage.setItem(SOURCE, next);
      else localStorage.removeItem(SOURCE);
    },
    shown,
    followed,
    follow(taskId) {
      setFollowed(taskId);
      if (taskId === null) localStorage.removeItem(kept);
      else localStorage.setItem(kept, taskId);
    },
    readings,
    standIn: (request) => worker.current?.postMessage(request),
  };
}

function listenTo(
  source: ThermometerSource,
  start: { seed: number; roomC: number },
  worker: { current: Worker | null },
  onReading: OnReading,
): () => void {
  if (source !== 'stand-in') return listenToPushed(onReading);
  const started = new Worker(new URL('../../workers/standInThermometer.worker.ts', import.meta.url), {
    type: 'module',
  });
  const begin: ThermometerRequest = { kind: 'start', ...start };
  return listenToStandIn(started, worker, begin, STAND_IN, onReading);
}
