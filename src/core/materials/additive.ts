import { z } from '../zod';
import { density, dosed, unknownOr } from './fields';

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

export const additiveSchema = z.strictObject({
  ...dosed,
  kind: z.literal('additive'),
  role: z.enum(ADDITIVE_ROLES),
  /** Largest grain of a grit, mm. */
  grainMm: unknownOr(z.number().min(0.001).max(20)),
  bulkDensityGPerMl: density,
});

export type Additive = z.infer<typeof additiveSchema>;

/** What a spoon holds with air between the grains. */
const POWDERS: ReadonlySet<Additive['role']> = new Set(['grit', 'botanical', 'salt', 'glitter']);

export function isPowderRole(role: Additive['role']): boolean {
  return POWDERS.has(role);
}
