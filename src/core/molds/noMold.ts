import type { Mold } from './mold';
import { UNKNOWN_MOLD } from './unknownMold';

/** What a plan names in the place of a mold where none is chosen: it is said by weight then. */
export const NO_MOLD_ID = 'no-mold';

/** As large as a mold can be, so that any weight goes into it; nothing of it is told. */
export const NO_MOLD: Mold = {
  ...UNKNOWN_MOLD,
  id: NO_MOLD_ID,
  // As the settings of a recipe name it.
  name: 'none',
  cavities: 500,
  capacityMl: 50_000,
  measuredBy: 'dimensions',
  shape: { kind: 'capacity-only' },
  usualFillFraction: 1,
};

/** True where a plan or its sheet is in a mold. */
export function hasMold({ mold }: { mold: Pick<Mold, 'id'> }): boolean {
  return mold.id !== NO_MOLD_ID;
}
