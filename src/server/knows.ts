import { biasAndSpread } from '../core/knows/biasAndSpread';
import { FAULTS_BY, type Known, type Knows } from '../core/knows/knows';
import { isShareMeasure, MEASURES } from '../core/run/measures';
import type { Workshop } from './openWorkshop';
import { indexMissing } from './search/indexRuns';
import { turnWhenLong } from './turn';

/** Runs that are told of one kind of measure, the last. */
const MOST_DRAWN = 400;
const MOST_FAULTS = 24;
const INDEXED_AT_ONCE = 50;

/** What finished runs say all together: how far off predictions are here, and which faults come with what. */
export async function knows(workshop: Workshop): Promise<Knows> {
  indexMissing(workshop, INDEXED_AT_ONCE);
  const { runSearch } = workshop;
  const measures: Known[] = [];
  for (const kind of MEASURES) {
    await turnWhenLong();
    const runs = runSearch.measured(kind, MOST_DRAWN);
    const off = biasAndSpread(runs, isShareMeasure(kind));
    if (off) measures.push({ kind, off, runs });
  }
  const faults: Partial<Knows['faults']> = {};
  for (const by of FAULTS_BY) {
    await turnWhenLong();
    const all = runSearch.faultsBy(by);
    faults[by] = by === 'month' ? all.slice(-MOST_FAULTS) : all.slice(0, MOST_FAULTS);
  }
  await turnWhenLong();
  return { ...runSearch.counts(), measures, faults: faults as Knows['faults'] };
}
