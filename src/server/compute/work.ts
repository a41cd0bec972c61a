import type { CheckContext } from '../../core/checks/finding';
import { type HeatFound, heatFound } from '../../core/checks/heat/heatFound';
import { type Review, reviewPlan } from '../../core/checks/review';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { makePourPlan } from '../../core/schedule/makePourPlan';
import type { PourPlan } from '../../core/schedule/pourPlan';
import { faultOf } from '../../db/copies/copyFolder';
import { NoWorkshopError } from '../../db/copies/whatItHolds';
import { judgeCsv } from '../../formats/judgeCsv';
import type { CsvContent, ShelfNow } from '../../formats/shelfCsv';
import { readOpen } from '../openFormats/readOpen';
import { writeOpen } from '../openFormats/writeOpen';

/** A pour plan with what it tells against its plan. */
export interface PourPlanFound {
  pourPlan: PourPlan;
  found: HeatFound;
}

/** What is worked out beside the thread that answers requests. All of it can be copied from one to the other. */
interface Works {
  review: { input: { file: PlanFile; context: CheckContext }; output: Review };
  pourPlan: { input: { sheet: Sheet; rules: HouseRules }; output: PourPlanFound };
  csv: { input: { of: CsvContent; bytes: Uint8Array; shelf: ShelfNow }; output: ReturnType<typeof judgeCsv> };
  /** Why a file of a database is not whole, by the whole of what is in it; null where it is. */
  fault: { input: { path: string }; output: string | null };
  /** A workshop in open formats, from a copy of its database. */
  writeOpen: { input: { path: string; to: string; at: string }; output: undefined };
  /** A database from a workshop in open formats; answers why it is none, or null. */
  readOpen: { input: { path: string; to: string }; output: string | null };
}

export type Name = keyof Works;
export type Input<Of extends Name> = Works[Of]['input'];
export type Output<Of extends Name> = Works[Of]['output'];

const WORK: { [Of in Name]: (input: Input<Of>) => Output<Of> | Promise<Output<Of>> } = {
  review: ({ file, context }) => reviewPlan(file, context),
  pourPlan: ({ sheet, rules }) => {
    const pourPlan = makePourPlan(sheet, rules);
    return { pourPlan, found: heatFound(sheet, pourPlan, rules) };
  },
  csv: ({ of, bytes, shelf }) => judgeCsv(of, bytes, shelf),
  fault: ({ path }) => faultOf(path, true),
  writeOpen: async ({ path, to, at }) => {
    await writeOpen(path, to, at);
    return undefined;
  },
  readOpen: async ({ path, to }) => {
    try {
      await readOpen(path, to);
      return null;
    } catch (error) {
      if (error instanceof NoWorkshopError) return error.message;
      throw error;
    }
  },
};

/** What is asked of a thread. */
export interface Asked<Of extends Name> {
  name: Of;
  input: Input<Of>;
}

export default function workOut<Of extends Name>({
  name,
  input,
}: Asked<Of>): Output<Of> | Promise<Output<Of>> {
  return WORK[name](input);
}
