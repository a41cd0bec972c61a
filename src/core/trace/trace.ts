/** Where a trace finds what went into what. */
export interface TraceSource {
  /** Runs that took of a lot, and how much. */
  runsOfLot(lotId: string): { runId: string; amount: number }[];
  /** Lots that a run took of, and how much. */
  lotsOfRun(runId: string): { lotId: string; amount: number }[];
  /** Lots that a run put into the scrap jar. */
  lotsLeftBy(runId: string): string[];
  /** The run that a lot was left by; null for what was bought. */
  runThatLeft(lotId: string): string | null;
}

/** A run that holds something of a lot. */
export interface TracedRun {
  runId: string;
  /** Of the lot itself, or of what it went through last. */
  amount: number;
  /** Lots of the scrap jar that it came through, the first first; none where it was taken from the lot itself. */
  through: string[];
}

/** A lot that something of is in a run. */
export interface TracedLot {
  lotId: string;
  amount: number;
  /** Runs that it came through, the nearest first; none where this run took it. */
  through: string[];
}

/** Every run that holds something of a lot, through all that was melted or set in again; each way once. */
export function traceLot(lotId: string, source: TraceSource): TracedRun[] {
  const found: TracedRun[] = [];
  const seen = new Set<string>();
  const queue: { lotId: string; through: string[] }[] = [{ lotId, through: [] }];
  for (let next = queue.shift(); next; next = queue.shift()) {
    if (seen.has(next.lotId)) continue;
    seen.add(next.lotId);
    for (const { runId, amount } of source.runsOfLot(next.lotId)) {
      found.push({ runId, amount, through: next.through });
      for (const left of source.lotsLeftBy(runId))
        queue.push({ lotId: left, through: [...next.through, left] });
    }
  }
  return found;
}

/** Every lot that something of is in a run, through all that was melted or set in again; each way once. */
export function traceRun(runId: string, source: TraceSource): TracedLot[] {
  const found: TracedLot[] = [];
  const seen = new Set<string>();
  const queue: { runId: string; through: string[] }[] = [{ runId, through: [] }];
  for (let next = queue.shift(); next; next = queue.shift()) {
    if (seen.has(next.runId)) continue;
    seen.add(next.runId);
    for (const { lotId, amount } of source.lotsOfRun(next.runId)) {
      found.push({ lotId, amount, through: next.through });
      const from = source.runThatLeft(lotId);
      if (from !== null) queue.push({ runId: from, through: [...next.through, from] });
    }
  }
  return found;
}
