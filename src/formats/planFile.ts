import type { PlanFile } from '../core/plan/plan';
import { planFileSchema } from '../core/plan/planSchema';
import { z } from '../core/zod';
import { fromVersion1, planFileSchema1 } from './planFile1';

/** A plan file of any version that was published, as one of the newest. */
export const anyPlanFileSchema: z.ZodType<PlanFile, unknown> = z
  .discriminatedUnion('version', [planFileSchema1, planFileSchema])
  .transform((file): PlanFile => (file.version === 1 ? fromVersion1(file) : file));
