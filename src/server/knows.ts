import { biasAndSpread } from '../core/knows/biasAndSpread';
import { FAULTS_BY, type Known, type Knows } from '../core/knows/knows';
import { isShareMeasure, MEASURES } from '../core/run/measures';
import type { Workshop } from './openWorkshop';
import { indexMissing } from './search/indexRuns';

/** Runs that are told of one kind of measure, the last. */
const MOST_DRAWN = 400;
const MOST_FAULTS = 24;
const INDEXED_AT_ONCE = 50;

/** What finished runs say all together: how far off predictions are here, and which faults come with what. */
export function knows(workshop: Workshop): Knows {
  indexMissing(workshop, INDEXED_AT_ONCE);
  const { runSearch } = workshop;
  const measures = MEASURES.flatMap((kind): Known[] => {
    const runs = runSearch.measured(kind, MOST_DRAWN);
    const off = biasAndSpread(runs, isShareMeasure(kind));
    return off ? [{ kind, off, runs }] : [];
  });
  const faultsBy = (by: (typeof FAULTS_BY)[number]) =>
    by === 'month'
      ? runSearch.faultsBy(by).slice(-MOST_FAULTS)
      : runSearch.faultsBy(by).slice(0, MOST_FAULTS);
  const faults = Object.fromEntries(FAULTS_BY.map((by) => [by, faultsBy(by)])) as Knows['faults'];
  return { ...runSearch.counts(), measures, faults };
}
