import type { Run } from '../core/run/run';

const texts = new WeakMap<Run['snapshot'], string>();

/** A run as JSON. What it rests on is the most of it and stays as it is, so that its text is written once. */
export function runJson({ snapshot, ...run }: Run): string {
  const text = texts.get(snapshot) ?? JSON.stringify(snapshot);
  texts.set(snapshot, text);
  return `${JSON.stringify(run).slice(0, -1)},"snapshot":${text}}`;
}

/** Runs as a JSON list. */
export function runsJson(runs: readonly Run[]): string {
  return `[${runs.map(runJson).join(',')}]`;
}
