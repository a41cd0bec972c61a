import type { Use } from './fields';
import type { DosedMaterial } from './material';

/** A bar for head to toe touches all of these. */
const HEAD_TO_TOE: readonly Use[] = ['body', 'face', 'hair'];

/** What a supplier allows in a product for one use, as a fraction of it. */
export interface SupplierLimit {
  maxOfProduct: number;
  /** The use that it is said of; null where the plain limit stands. */
  forUse: Use | null;
}

/** The limit of a material for what a bar is for; null where nobody knows one. Head to toe takes the lowest of its parts. */
export function supplierLimit(
  { maxOfProduct, maxByUse }: Pick<DosedMaterial, 'maxOfProduct' | 'maxByUse'>,
  use: Use,
): SupplierLimit | null {
  const plain: SupplierLimit[] = maxOfProduct === null ? [] : [{ maxOfProduct, forUse: null }];
  const own = (wanted: Use): SupplierLimit[] =>
    (maxByUse ?? [])
      .filter((each) => each.use === wanted)
      .map((each) => ({ maxOfProduct: each.maxOfProduct, forUse: wanted }));
  const exact = own(use);
  if (exact.length > 0 || use !== 'head-to-toe') return exact[0] ?? plain[0] ?? null;
  return [...plain, ...HEAD_TO_TOE.flatMap(own)].reduce<SupplierLimit | null>(
    (lowest, each) => (lowest && lowest.maxOfProduct <= each.maxOfProduct ? lowest : each),
    null,
  );
}
