import type { HouseRules } from '../houseRules/houseRules';
import type { Material } from '../materials/material';
import { wettingSchema } from '../plan/plan';
import type { Sheet } from '../plan/sheet';
import type { StockByMaterial } from '../stock/fromShelf';
import type { Showing } from '../units/showQuantity';
import { z } from '../zod';

/** `stop`: must not be made like this. `caution`: think again. `note`: good to know. */
export const SEVERITIES = ['stop', 'caution', 'note'] as const;

const planEditSchema = z.discriminatedUnion('edit', [
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
  z.strictObject({
    edit: z.literal('add-dose'),
    pourIndex: z.int().nonnegative(),
    materialId: z.string(),
    text: z.string(),
    wetIn: wettingSchema.optional(),
    counts: z.literal('content').optional(),
  }),
  /** A pour's moment and its heat; null leaves one to the pour plan again. */
  z.strictObject({
    edit: z.literal('set-when'),
    pourIndex: z.int().nonnegative(),
    afterMin: z.number().nullable().optional(),
    atC: z.number().nullable().optional(),
  }),
  z.strictObject({ edit: z.literal('set-freezer'), freezerMin: z.number().positive().nullable() }),
  /** The whole plan in another number; fixed doses grow along. */
  z.strictObject({ edit: z.literal('set-pieces'), pieces: z.int().positive() }),
]);

/** What a check found: data only. `say` of its check puts it in words. */
export const findingSchema = z.strictObject({
  code: z.string(),
  severity: z.enum(SEVERITIES),
  /** null when it is about the whole bar, or the whole plan. */
  pourIndex: z.int().nonnegative().nullable(),
  doseIndexes: z.array(z.int().nonnegative()),
  /** Name of the material it is about. */
  about: z.string(),
  /** The record on the shelf that would settle it. */
  materialId: z.string().optional(),
  /** What was typed, or the names it is about. */
  text: z.string().optional(),
  /** Shares as fractions of one, masses in g, volumes in mL; the key says which. */
  figures: z.record(z.string(), z.number()),
  /** True when the limit is a usual figure and not the material's own. */
  assumed: z.boolean(),
  /** Changes to the plan that resolve it in one press. */
  mend: z.array(planEditSchema).nullable(),
});

export type Severity = (typeof SEVERITIES)[number];
export type PlanEdit = z.infer<typeof planEditSchema>;
export type Finding = z.infer<typeof findingSchema>;

/** A finding in words. */
export interface Said {
  title: string;
  reason: string;
  /** What the one press does; null where there is no mend. */
  mendLabel: string | null;
}

/** What a check may know besides the sheet. */
export interface CheckContext {
  rules: HouseRules;
  /** What is on the shelf; null where a plan is judged by itself, away from any workshop. */
  shelf: null | {
    /** What a mend may take from the shelf. */
    materials: readonly Material[];
    /** Lots by the id of their material; one that is missing has never been bought. */
    stock: StockByMaterial;
    /** ISO 8601 day. */
    today: string;
  };
}

/** One check: looks at a sheet, and can say what it found. */
export interface Check {
  code: string;
  run(sheet: Sheet, context: CheckContext): Finding[];
  say(finding: Finding, showing: Showing): Said;
}
