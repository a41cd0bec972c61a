import type { Snapshot } from '../core/run/snapshot';

const texts = new WeakMap<Snapshot, string>();

/** What a run rests on, as JSON. It is the most of a run and stays as it is, so that its text is written once. */
export function snapshotText(snapshot: Snapshot): string {
  const text = texts.get(snapshot) ?? JSON.stringify(snapshot);
  texts.set(snapshot, text);
  return text;
}
