import type { HouseRules } from '../houseRules/houseRules';
import type { Material } from '../materials/material';
import type { Sheet } from '../plan/sheet';
import type { StockByMaterial } from '../stock/fromShelf';
import type { z } from '../zod';
import type { findingSchema, SEVERITIES } from './findingSchema';

export type Severity = (typeof SEVERITIES)[number];
export type Finding = z.infer<typeof findingSchema>;
export type FindingCode = Finding['code'];

type WithoutId<Each> = Each extends unknown ? Omit<Each, 'id'> : never;
/** What a check returns; the review gives each its id. */
export type Found = WithoutId<Finding>;
/** What was found of one code. */
export type FoundOf<Code extends FindingCode> = WithoutId<Extract<Finding, { code: Code }>>;

/** What a check may know besides the sheet. */
export interface CheckContext {
  rules: HouseRules;
  /** What is on the shelf; null where a plan is judged by itself, away from any workshop. */
  shelf: null | {
    /** What a fix may take from the shelf. */
    materials: readonly Material[];
    /** Lots by the id of their material; one that is missing has never been bought. */
    stock: StockByMaterial;
    /** ISO 8601 day. */
    today: string;
  };
}

/** One check: looks at a sheet, and returns what it found. */
export type Check = (sheet: Sheet, context: CheckContext) => Found[];
