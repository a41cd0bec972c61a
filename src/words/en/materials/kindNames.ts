import type { MaterialKind } from '../../../core/materials/material';

/** What the kinds of the shelf are called. */
export const KIND_NAMES: Record<MaterialKind, string> = {
  base: 'Base',
  fragrance: 'Fragrance',
  blend: 'Blend',
  colorant: 'Colorant',
  additive: 'Additive',
  dispersant: 'Dispersant',
  scrap: 'Scrap jar',
  piece: 'Bought piece',
  packaging: 'Packaging',
};
