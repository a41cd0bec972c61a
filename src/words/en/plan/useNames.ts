import type { Use } from '../../../core/materials/fields';

/** What a bar is for. */
export const USE_NAMES: Record<Use, string> = {
  body: 'Body',
  hands: 'Hands, garden',
  face: 'Face',
  hair: 'Hair',
  'head-to-toe': 'Head to toe',
  gift: 'Gift',
  embeds: 'Embeds',
};
