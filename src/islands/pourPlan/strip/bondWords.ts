import type { Bond } from '../../../core/heat/bond';

/** How a pour joins the layer below, as short as a strip needs it. */
export const BOND_WORDS: Record<Bond, string> = {
  weak: 'weak',
  good: 'bonds',
  deep: 'melts deep',
  broken: 'breaks',
};
