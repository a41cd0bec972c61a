import type { StockByMaterial } from './fromShelf';

/** The shelf as a run sees it. */
export interface RunStock {
  /** The lots of what it weighs and sets in, as they stand now; a material without lots is left out. */
  lots: StockByMaterial;
  /** What it has taken of each material so far. */
  taken: ReadonlyMap<string, number>;
}

/** Of what is really made nowhere. */
export const NO_STOCK: RunStock = { lots: new Map(), taken: new Map() };
