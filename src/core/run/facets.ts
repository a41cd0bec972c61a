/** By what finished runs are sorted out. */
export const FACETS = ['plan', 'verdict', 'fault', 'base', 'mold', 'year', 'maker'] as const;
export type Facet = (typeof FACETS)[number];

/** One value of a facet. */
export interface FacetValue {
  facet: Facet;
  value: string;
}

/** What finished runs are searched by. */
export interface RunSearch {
  /** Words that all stand in it, each at least with its beginning. */
  search: string;
  chosen: readonly FacetValue[];
}
