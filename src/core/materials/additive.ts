import type { z } from '../zod';
import type { additiveSchema } from './additiveSchema';

export const ADDITIVE_ROLES = [
  'grit',
  'botanical',
  'oil',
  'humectant',
  'liquid',
  'active',
  'surfactant',
  'salt',
  'glitter',
  'stabiliser',
  'other',
] as const;

export type Additive = z.infer<typeof additiveSchema>;

/** What a spoon holds with air between the grains. */
const POWDERS: ReadonlySet<Additive['role']> = new Set(['grit', 'botanical', 'salt', 'glitter']);

export function isPowderRole(role: Additive['role']): boolean {
  return POWDERS.has(role);
}
