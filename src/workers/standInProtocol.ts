import type { Reading } from '../instruments/reading';

/** What the drawer of the stand-in scale asks for. */
export type StandInRequest =
  | { kind: 'start'; seed: number }
  | { kind: 'add'; massG: number }
  | { kind: 'clear' }
  | { kind: 'tare' }
  | { kind: 'plug'; isIn: boolean };

/** What the drawer of the stand-in thermometer asks for. */
export type ThermometerRequest =
  | { kind: 'start'; seed: number; roomC: number }
  /** Into a jug that is thought to cool so, ms since the epoch; this one does it a little faster or slower. */
  | { kind: 'jug'; curve: readonly { atMs: number; tempC: number }[] }
  /** By a clock that showed `atMs` when this machine's showed `realMs`, and runs so many times as fast. */
  | { kind: 'clock'; atMs: number; realMs: number; speed: number }
  | { kind: 'out' }
  | { kind: 'plug'; isIn: boolean };

/** What they show: a scale ten times a second, a thermometer once. */
export type StandInAnswer = Reading;
