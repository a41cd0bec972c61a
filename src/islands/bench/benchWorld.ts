import { createContext, useContext } from 'react';
import type { Onward } from '../../core/run/onward';
import type { Progress } from '../../core/run/progress';
import type { Run, RunEvent } from '../../core/run/run';
import type { StandInRequest } from '../../workers/standInProtocol';

/** What a clock shows that may run faster than this machine's. */
export interface ClockFace {
  /** It showed `atMs` when this machine's showed `realMs`, and runs so many times as fast. */
  atMs: number;
  realMs: number;
  speed: number;
}

/** What the bench shows of itself to whoever looks on. */
export interface BenchSeen {
  run: Run;
  so: Progress;
  seen: Onward & { nowMs: number };
  record(event: RunEvent): void;
  /** Works the stand-in scale. */
  standIn(request: StandInRequest): void;
}

/** What is otherwise in a rehearsal: nothing leaves the page. */
export interface RehearsalWorld {
  clock: ClockFace;
  seed: number;
  roomC: number;
  /** So many times what is aimed at is put on the scale. */
  putTimes(taskId: string): number;
  /** Called with everything that the bench draws. */
  onSeen(bench: BenchSeen): void;
}

/** The bench's clock, and whether something is really made. */
export interface BenchWorld {
  /** ms since the epoch. */
  now(): number;
  rehearsal: RehearsalWorld | null;
}

const MAKING: BenchWorld = { now: () => Date.now(), rehearsal: null };

const WorldContext = createContext<BenchWorld>(MAKING);

export const InWorld = WorldContext.Provider;

export function useBenchWorld(): BenchWorld {
  return useContext(WorldContext);
}

export function clockMs({ atMs, realMs, speed }: ClockFace, nowMs = Date.now()): number {
  return atMs + (nowMs - realMs) * speed;
}
