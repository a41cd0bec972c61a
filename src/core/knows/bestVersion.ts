/** What came of one version of a plan. */
export interface VersionResult {
  version: number;
  runs: number;
  /** Good pieces, of so many that were planned. */
  good: number;
  planned: number;
  /** Kinds of fault that were seen, each counted once a run. */
  faults: number;
}

/**
 * The version that came out best: the largest share of good pieces; of equals the one with fewer faults a run, then the
 * one that was made more often, then the newest. Our own order.
 *
 * @returns null where fewer than two versions were made: there is nothing to be better than
 */
export function bestVersion(results: readonly VersionResult[]): number | null {
  const made = results.filter(({ runs, planned }) => runs > 0 && planned > 0);
  if (made.length < 2) return null;
  const [best] = made.toSorted(
    (a, b) =>
      b.good / b.planned - a.good / a.planned ||
      a.faults / a.runs - b.faults / b.runs ||
      b.runs - a.runs ||
      b.version - a.version,
  );
  return best?.version ?? null;
}
