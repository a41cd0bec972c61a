/** What an instrument shows at a moment, ms since the epoch. */
export type Reading =
  | { kind: 'mass'; massG: number; isStable: boolean | null; atMs: number }
  | { kind: 'temperature'; tempC: number; isStable: boolean | null; atMs: number }
  /** More is on it than it can weigh, or it says that it can't read. */
  | { kind: 'overload'; atMs: number }
  /** Nothing comes from it any more. */
  | { kind: 'gone'; atMs: number };

/** Which instrument shows what. */
export interface InstrumentReading {
  instrument: string;
  reading: Reading;
}

/** A source of readings: calls for each until what it answers is called. */
export type Listen = (onReading: (reading: Reading) => void) => () => void;
