import { moldsFilled } from '../molds/filled';
import type { Sheet } from '../plan/sheet';
import { jugsOf, meltedBeyond } from '../pours/jugsOf';
import { progress } from './progress';
import type { Run } from './run';
import { scrapOf } from './scrap';
import { weighedG } from './weighedG';

/** What a finished run says of its mold: the capacity at which its fill would have come out as it did. */
export interface FillSeen {
  runId: string;
  planName: string;
  /** ISO 8601 instant. */
  at: string;
  capacityMl: number;
}

/**
 * What went into the cavities over what was planned, brought to the stored capacity: what was weighed, less what was left
 * over for the scrap jar. Cut-off pours and ends were in the cavities, so they are not taken away.
 *
 * A fill speaks for a mold only where it was full: something was left over, or somebody saw that it came out as planned.
 * What was weighed short tells of a hand.
 *
 * @returns null for a run that is not finished, that weighed nothing, that filled two molds, that left a layer out, or whose fill nobody knows
 */
export function fillSeen(run: Run): FillSeen | null {
  const { ended, tasks } = progress(run);
  if (ended?.kind !== 'finished') return null;
  const { sheet } = run.snapshot;
  // Of two molds nobody knows which took what.
  if (moldsFilled(sheet, sheet.fills).length > 1) return null;
  // Nor how full the others were poured, where a layer was left out.
  if (tasks.some(({ kind, isLeftOut }) => kind === 'pour' && isLeftOut)) return null;
  const { trimmedG, endsG } = scrapOf(run);
  const toScrapG = Math.max(0, ended.toScrapG - trimmedG - endsG);
  if (ended.fill !== 'as-planned' && !(toScrapG > 0)) return null;
  // What was melted beyond the need on purpose may have gone into a spare mold.
  const leftOverG = Math.max(toScrapG, meltedBeyondG(sheet));
  const share = (weighedG(run) - leftOverG) / sheet.totals.jugG;
  if (!(share > 0)) return null;
  return {
    runId: run.id,
    planName: sheet.planName,
    at: ended.at,
    capacityMl: sheet.mold.capacityMl * share,
  };
}

/** What the sheet melts beyond what its pours take, base and additions, g. */
function meltedBeyondG({ pours }: Sheet): number {
  return jugsOf(pours).reduce((sum, jug) => sum + meltedBeyond(jug) * jug.jugG, 0);
}

/** Fewer say nothing about a mold, only about a hand. Our own assumption. */
const LEAST_RUNS = 2;
/** Closer is as good as a kitchen scale. Our own assumption. */
const CLOSE_ENOUGH = 0.02;

/** The capacity that past runs speak for, when it is not the stored one; null otherwise. */
export function betterCapacityMl(fills: readonly FillSeen[], storedMl: number): number | null {
  if (fills.length < LEAST_RUNS) return null;
  const meanMl = fills.reduce((sum, { capacityMl }) => sum + capacityMl, 0) / fills.length;
  return Math.abs(meanMl / storedMl - 1) > CLOSE_ENOUGH ? meanMl : null;
}
