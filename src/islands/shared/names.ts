import type { Use } from '../../core/plan/plan';
import type { Verdict } from '../../core/run/run';

/** What the codes of the core are called on the screen. */
export const USE_NAMES: Record<Use, string> = {
  body: 'Body',
  hands: 'Hands, garden',
  face: 'Face',
  hair: 'Hair',
  'head-to-toe': 'Head to toe',
  gift: 'Gift',
  embeds: 'Embeds',
};

export const VERDICT_NAMES: Record<Verdict, string> = {
  good: 'Good',
  fair: 'Fair',
  poor: 'Poor',
};
