import { measuresOf } from '../../core/run/measures';
import { progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import { orNull } from '../broken';
import type { Workshop } from '../openWorkshop';
import { runSearchText } from './runSearchText';

/** Puts a finished run into the Logbook's index, as it is now. */
export function indexRun(workshop: Workshop, run: Run): void {
  const { words, facets } = runSearchText(workshop, run);
  workshop.runSearch.put(run.id, words, facets, measuresOf(run, progress(run)));
}

/**
 * Puts runs into the index that came without it: those of before there was one, and those of a copy in open formats. One
 * that can't be read is put in without a word, so that it is not tried again and again.
 *
 * @returns how many
 */
export function indexMissing(workshop: Workshop, most: number): number {
  const ids = workshop.runSearch.missing(most);
  if (ids.length === 0) return 0;
  workshop.db
    .transaction(() => {
      for (const id of ids) {
        const run = orNull(() => workshop.runs.find(id));
        if (run) indexRun(workshop, run);
        else workshop.runSearch.put(id, '', []);
      }
    })
    .immediate();
  return ids.length;
}

const AT_ONCE = 8;
const PAUSE_MS = 100;

/** Goes on in the background until every run is in the index. Requests come between: a few runs take some milliseconds. */
export function indexInBackground(workshop: Workshop): () => void {
  let timer: NodeJS.Timeout | null = setTimeout(step, PAUSE_MS);
  timer.unref();
  function step() {
    timer = null;
    try {
      if (!workshop.db.open || indexMissing(workshop, AT_ONCE) === 0) return;
    } catch {
      // The file is held by another program: later, or when it is searched.
    }
    timer = setTimeout(step, PAUSE_MS);
    timer.unref();
  }
  return () => {
    if (timer) clearTimeout(timer);
  };
}
