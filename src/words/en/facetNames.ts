import type { Facet } from '../../core/run/facets';

/** By what the Logbook is sorted out. */
export const FACET_NAMES: Record<Facet, string> = {
  plan: 'Plan',
  verdict: 'Verdict',
  fault: 'Fault',
  base: 'Base',
  mold: 'Mold',
  year: 'Year',
  maker: 'Made by',
};
