import type { Sheet } from '../plan/sheet';
import type { Showing } from '../units/showQuantity';
import { z } from '../zod';

/** `stop`: must not be made like this. `caution`: think again. `note`: good to know. */
export const SEVERITIES = ['stop', 'caution', 'note'] as const;

const doseEditSchema = z.discriminatedUnion('edit', [
  z.strictObject({
    edit: z.literal('set-dose'),
    pourIndex: z.int().nonnegative(),
    doseIndex: z.int().nonnegative(),
    text: z.string(),
  }),
  z.strictObject({
    edit: z.literal('remove-dose'),
    pourIndex: z.int().nonnegative(),
    doseIndex: z.int().nonnegative(),
  }),
]);

/** What a check found: data only. `say` of its check puts it in words. */
export const findingSchema = z.strictObject({
  code: z.string(),
  severity: z.enum(SEVERITIES),
  pourIndex: z.int().nonnegative(),
  doseIndexes: z.array(z.int().nonnegative()),
  /** Name of the material it is about. */
  about: z.string(),
  /** The record on the shelf that would settle it. */
  materialId: z.string().optional(),
  /** What was typed, where the finding is about a text. */
  text: z.string().optional(),
  /** Shares as fractions of one, masses in g, volumes in mL; the key says which. */
  figures: z.record(z.string(), z.number()),
  /** True when the limit is a usual figure and not the material's own. */
  assumed: z.boolean(),
  /** Changes to the plan that resolve it in one press. */
  mend: z.array(doseEditSchema).nullable(),
});

export type Severity = (typeof SEVERITIES)[number];
export type DoseEdit = z.infer<typeof doseEditSchema>;
export type Finding = z.infer<typeof findingSchema>;

/** A finding in words. */
export interface Said {
  title: string;
  reason: string;
  /** What the one press does; null where there is no mend. */
  mendLabel: string | null;
}

/** One check: looks at a sheet, and can say what it found. */
export interface Check {
  code: string;
  run(sheet: Sheet): Finding[];
  say(finding: Finding, showing: Showing): Said;
}
