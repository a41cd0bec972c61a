import type { Reading } from '../instruments/reading';

/** What the drawer of the stand-in scale asks for. */
export type StandInRequest =
  | { kind: 'start'; seed: number }
  | { kind: 'add'; massG: number }
  | { kind: 'clear' }
  | { kind: 'tare' }
  | { kind: 'plug'; isIn: boolean };

/** What it shows, ten times a second. */
export type StandInAnswer = Reading;
