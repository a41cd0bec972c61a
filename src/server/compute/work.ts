import { join } from 'node:path';
import type { CheckContext } from '../../core/checks/finding';
import { type HeatFound, heatFound } from '../../core/checks/heat/heatFound';
import { type Review, reviewPlan } from '../../core/checks/review';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { SetLabel } from '../../core/label/label';
import type { PlanFile } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import type { StoredPlan } from '../../core/plan/storedPlan';
import type { Dare } from '../../core/rehearsal/dares';
import type { KeptReadings } from '../../core/run/keptReadings';
import { type Lesson, lessonsOf } from '../../core/run/lessons';
import { pointsOfJugs, readingsOfJugs } from '../../core/run/readingsOfJugs';
import type { Run } from '../../core/run/run';
import { makePourPlan } from '../../core/schedule/makePourPlan';
import type { PourPlan } from '../../core/schedule/pourPlan';
import { openDatabase } from '../../db/connection';
import { faultOf } from '../../db/copies/copyFolder';
import { NoWorkshopError } from '../../db/copies/whatItHolds';
import { DATABASE_FILE } from '../../db/dataFolder.mjs';
import { partsOfSnapshot, type SnapshotParts } from '../../db/snapshotText';
import type { CsvStyle } from '../../formats/csv';
import type { LabelPrint } from '../../formats/label/labelPdf';
import type { Met } from '../../formats/meeting';
import { anyPlanFileSchema } from '../../formats/planFile';
import { orNull } from '../broken';
import { importSent, type PlanSent } from '../importPlan';
import { type Imported, importShelf, shelfImportSchema } from '../importShelf';
import { knownProblem } from '../knownProblem';
import { meetingsOf, recordsHere } from '../meeting';
import { readOpen } from '../openFormats/readOpen';
import { writeOpen } from '../openFormats/writeOpen';
import { tablesOf, type Workshop } from '../openWorkshop';
import type { Problem } from '../problem';
import { parseBytes } from '../readJson';
import {
  practiceOf,
  type RehearsalJugs,
  type RehearsalText,
  rehearsalOf,
  rehearsalTextOf,
} from '../rehearsals';
import { runText } from '../runJson';
import { type CsvImported, type CsvSent, importCsv, type ShelfTable, shelfTable } from '../shelfCsv';
import { startRun } from '../startRun';
import type { FileAsked } from './answerWork';
import type { LabelInput } from './labelWork';

/** A pour plan with what it tells against its plan. */
export interface PourPlanFound {
  pourPlan: PourPlan;
  found: HeatFound;
}

/** What is worked out beside the thread that answers requests. All of it can be copied from one to the other. */
interface Works {
  reviews: { input: { files: PlanFile[]; context: CheckContext }; output: Review[] };
  pourPlan: { input: { sheet: Sheet; rules: HouseRules }; output: PourPlanFound };
  sheetAnswer: { input: FileAsked; output: string };
  pourPlanAnswer: { input: FileAsked; output: string };
  /** A run of a plan of the workshop in a folder, as JSON, begun `at`. */
  startRun: {
    input: { folder: string; at: string; id: string; planId: string; trialPieces: number | null };
    output: string;
  };
  /** What a run rests on, judged; null where it can't be read. */
  snapshotParts: { input: { folder: string; id: string }; output: SnapshotParts | null };
  rehearsal: {
    input: { folder: string; at: string; planId: string; jugs: RehearsalJugs };
    output: RehearsalText;
  };
  /** A run in which a mistake is practised, as JSON. */
  practice: { input: { dare: Dare; at: string }; output: string };
  /** `run` as JSON: a text is sent for next to nothing, and each object in it is not. */
  lessons: { input: { run: string; kept: KeptReadings[] }; output: Lesson[] };
  /** A plan file into the workshop in a folder. */
  takePlan: { input: { folder: string; sent: PlanSent }; output: StoredPlan };
  meetPlan: { input: { folder: string; bytes: Uint8Array }; output: Met[] };
  /** Records onto the shelf of the workshop in a folder. */
  takeShelf: { input: { folder: string; bytes: Uint8Array }; output: Imported };
  shelfTable: { input: { folder: string; of: ShelfTable; style: CsvStyle }; output: string };
  takeCsv: { input: { folder: string; sent: CsvSent }; output: CsvImported };
  /** Why a file of a database is not whole, by the whole of what is in it; null where it is. */
  fault: { input: { path: string }; output: string | null };
  /** A label with its texts in lines. */
  setLabel: { input: LabelInput; output: SetLabel };
  labelPdf: { input: LabelPrint; output: Uint8Array };
  /** A workshop in open formats, from a copy of its database. */
  writeOpen: { input: { path: string; to: string; at: string }; output: undefined };
  /** A database from a workshop in open formats; answers why it is none, or null. */
  readOpen: { input: { path: string; to: string }; output: string | null };
}

export type Name = keyof Works;
export type Input<Of extends Name> = Works[Of]['input'];
export type Output<Of extends Name> = Works[Of]['output'];

const WORK: { [Of in Name]: (input: Input<Of>) => Output<Of> | Promise<Output<Of>> } = {
  reviews: ({ files, context }) => files.map((file) => reviewPlan(file, context)),
  pourPlan: ({ sheet, rules }) => {
    const pourPlan = makePourPlan(sheet, rules);
    return { pourPlan, found: heatFound(sheet, pourPlan, rules) };
  },
  // Words of all findings and tasks are read by who asks for them, and so are fonts, PDF and bar codes by who prints a label.
  sheetAnswer: async (input) => (await import('./answerWork')).sheetAnswer(input),
  pourPlanAnswer: async (input) => (await import('./answerWork')).pourPlanAnswer(input),
  startRun: ({ folder, at, id, planId, trialPieces }) =>
    besideOthers(folder, (workshop) => runText(startRun(workshop, id, planId, trialPieces)), at),
  snapshotParts: ({ folder, id }) =>
    besideOthers(folder, ({ runs }) => {
      const run = orNull(() => runs.find(id));
      return run ? partsOfSnapshot(run.snapshot) : null;
    }),
  rehearsal: ({ folder, at, planId, jugs }) =>
    besideOthers(folder, (workshop) => rehearsalTextOf(rehearsalOf(workshop, planId, jugs)), at),
  practice: ({ dare, at }) => runText(practiceOf(dare, at)),
  lessons: ({ run, kept }) => lessonsOf(JSON.parse(run) as Run, readingsOfJugs(pointsOfJugs(kept))),
  takePlan: ({ folder, sent }) => besideOthers(folder, (workshop) => importSent(workshop, sent)),
  meetPlan: ({ folder, bytes }) =>
    besideOthers(folder, (workshop) =>
      meetingsOf(recordsHere(workshop), parseBytes(bytes, anyPlanFileSchema)),
    ),
  takeShelf: ({ folder, bytes }) =>
    besideOthers(folder, (workshop) => importShelf(workshop, parseBytes(bytes, shelfImportSchema))),
  shelfTable: ({ folder, of, style }) => besideOthers(folder, (workshop) => shelfTable(workshop, of, style)),
  takeCsv: ({ folder, sent }) => besideOthers(folder, (workshop) => importCsv(workshop, sent)),
  fault: ({ path }) => faultOf(path, true),
  setLabel: async (input) => (await import('./labelWork')).setWithCodes(input),
  labelPdf: async (print) => (await import('./labelWork')).printLabels(print),
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

/** What came of it. A problem is told by its parts: classes do not pass from thread to thread. */
export type Answered<Of extends Name> =
  | { value: Output<Of> }
  | { problem: ConstructorParameters<typeof Problem> };

export default async function workOut<Of extends Name>({ name, input }: Asked<Of>): Promise<Answered<Of>> {
  try {
    return { value: await WORK[name](input) };
  } catch (error) {
    const problem = knownProblem(error);
    if (!problem) throw error;
    const { status, code, detail, more } = problem;
    return { problem: [status, code, detail, more] };
  }
}

/** A write that others hold up may wait: nobody is answered by this thread. */
const LONGEST_WAIT_MS = 10_000;

/**
 * Works on a workshop that is served by another thread, by a connection of its own.
 *
 * @param at the moment at which it was asked for, ISO 8601; left out, the time is this thread's
 */
function besideOthers<Value>(folder: string, work: (workshop: Workshop) => Value, at?: string): Value {
  const db = openDatabase(join(folder, DATABASE_FILE));
  try {
    db.pragma(`busy_timeout = ${LONGEST_WAIT_MS}`);
    return work(tablesOf(db, folder, at === undefined ? undefined : () => at));
  } finally {
    db.close();
  }
}
