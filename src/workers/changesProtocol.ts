/** What the server tells: a run has so many events now. */
export interface Change {
  run: string;
  events: number;
}
