import type { Run } from '../core/run/run';
import { snapshotText } from '../db/snapshotText';
import { inTurns } from './inTurns';

/** A run as JSON. To read it and to write it down are two holds where it is large: others are answered between. */
export async function runJson({ snapshot, ...run }: Run): Promise<string> {
  await inTurns()();
  return `${JSON.stringify(run).slice(0, -1)},"snapshot":${snapshotText(snapshot)}}`;
}

/** Runs as a JSON list. */
export async function runsJson(runs: readonly Run[]): Promise<string> {
  const texts: string[] = [];
  for (const run of runs) texts.push(await runJson(run));
  return `[${texts.join(',')}]`;
}
