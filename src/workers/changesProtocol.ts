import type { InstrumentReading } from '../instruments/reading';

/** What the server tells: a run has so many events now. */
export interface Change {
  run: string;
  events: number;
}

/** What a page hears: a run has changed, an instrument shows something, or whether the server answers at all. */
export type Heard = Change | InstrumentReading | 'there' | 'away';
