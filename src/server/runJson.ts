import type { Run } from '../core/run/run';
import { snapshotText, snapshotTextInTurns } from '../db/snapshotText';
import { turn } from './turn';

/** A run as JSON. To read it and to write it down are holds of their own where it is large: others are answered between. */
export async function runJson(run: Run): Promise<string> {
  await turn();
  return withSnapshot(run, await snapshotTextInTurns(run.snapshot, turn));
}

/** A run as JSON at once, for a thread in which nobody else is answered. */
export function runText(run: Run): string {
  return withSnapshot(run, snapshotText(run.snapshot));
}

function withSnapshot({ snapshot: _, ...run }: Run, snapshot: string): string {
  return `${JSON.stringify(run).slice(0, -1)},"snapshot":${snapshot}}`;
}

/** Runs as a JSON list. */
export async function runsJson(runs: readonly Run[]): Promise<string> {
  const texts: string[] = [];
  for (const run of runs) texts.push(await runJson(run));
  return `[${texts.join(',')}]`;
}
