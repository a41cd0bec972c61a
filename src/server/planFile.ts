import type { Material } from '../core/materials/material';
import type { Molds } from '../core/molds/filled';
import type { Mold } from '../core/molds/mold';
import { NO_MOLD, NO_MOLD_ID } from '../core/molds/noMold';
import type { MadePiece } from '../core/plan/embed';
import { madePieceOf } from '../core/plan/madePiece';
import { makeSheet } from '../core/plan/makeSheet';
import {
  namedMaterials,
  namedPlans,
  PLAN_FILE_FORMAT,
  PLAN_FILE_VERSION,
  type Plan,
  type PlanFile,
} from '../core/plan/plan';
import { checkNames } from '../core/plan/planSchema';
import type { Sheet } from '../core/plan/sheet';
import { z } from '../core/zod';
import { orNull, orProblem } from './broken';
import { keptOfPlans } from './keptOfPlans';
import type { Workshop } from './openWorkshop';
import { invalidField, invalidFields } from './problem';

/** What a plan names, as the workshop has it now. The same values as long as none of it is saved. */
interface Named {
  mold: Mold;
  secondMold: Mold | undefined;
  materials: Material[];
  made: MadePiece[];
}

/** @throws Problem 422 naming the field whose id the workshop does not know */
function namedBy(workshop: Workshop, plan: Plan, pieces: MadePieces): Named {
  const { molds, materials } = workshop;
  const moldOf = (id: string, field: string) => {
    if (id === NO_MOLD_ID) return NO_MOLD;
    const mold = orProblem(() => molds.find(id))?.item;
    if (!mold) throw invalidField(field, `names the mold “${id}”, which is not in the mold book`);
    return mold;
  };
  const { moldId, secondMoldId } = plan;
  const mold = moldOf(moldId, 'plan.moldId');
  const secondMold = secondMoldId === undefined ? undefined : moldOf(secondMoldId, 'plan.secondMoldId');
  const named = namedMaterials(plan, {
    get: (id) => orProblem(() => materials.find(id))?.item,
  });
  return {
    mold,
    secondMold,
    materials: [...named.values()].filter((material): material is Material => material !== null),
    made: [...namedPlans(plan)].flatMap((id) => pieces.of(id) ?? []),
  };
}

/** Its parts were judged where they were read: only whether they name one another is left to see. */
const namingSchema = z.custom<PlanFile>().superRefine(checkNames);

/** Plan files as they were made last, and of what. */
const LAST = keptOfPlans<{ of: readonly unknown[]; file: PlanFile }>();

/**
 * A plan with its mold and materials as the workshop has them now; the same value as long as none of it is saved.
 *
 * @throws Problem 422 naming the field whose id the workshop does not know
 */
export function planFileOf(workshop: Workshop, plan: Plan, pieces = madePieces(workshop)): PlanFile {
  const { mold, secondMold, materials, made } = namedBy(workshop, plan, pieces);
  const of = [mold, secondMold, ...materials, ...made];
  const last = LAST.get(plan);
  if (last?.of.length === of.length && of.every((part, place) => part === last.of[place])) return last.file;
  const file = namingSchema.safeParse(
    {
      format: PLAN_FILE_FORMAT,
      version: PLAN_FILE_VERSION,
      plan,
      mold,
      ...(secondMold ? { secondMold } : {}),
      materials,
      ...(namedPlans(plan).size > 0 ? { made } : {}),
    },
    { reportInput: true },
  );
  if (!file.success) throw invalidFields(file.error);
  LAST.set(plan, { of, file: file.data });
  return file.data;
}

/** The molds of a plan; null where one of them can't be read or is not there. */
export function moldsOf({ molds }: Workshop, { moldId, secondMoldId }: Plan): Molds | null {
  const moldOf = (id: string) => (id === NO_MOLD_ID ? NO_MOLD : (orNull(() => molds.find(id))?.item ?? null));
  const mold = moldOf(moldId);
  const secondMold = secondMoldId === undefined ? undefined : moldOf(secondMoldId);
  return mold && secondMold !== null ? { mold, secondMold } : null;
}

/** The pieces that a workshop's plans make, each worked out once. */
export interface MadePieces {
  /** A plan's piece as the plan is now; null when the workshop has no such plan. */
  of(planId: string): MadePiece | null;
}

/**
 * Plans may set in the pieces of other plans, and those again of others. A plan that is set into itself, however far
 * down, has no size; neither has what it is set into.
 */
export function madePieces(workshop: Workshop): MadePieces {
  const known = new Map<string, MadePiece | null>();
  const underWay: string[] = [];
  const circular = new Set<string>();
  const make = (planId: string): MadePiece | null => {
    const newest = workshop.plans.version(planId);
    if (!newest) return null;
    const { name } = newest.plan;
    const from = underWay.indexOf(planId);
    if (from >= 0) {
      for (const each of underWay.slice(from)) circular.add(each);
      return { ...madePieceOf(planId, name, null), isCircular: true };
    }
    underWay.push(planId);
    const piece = pieceOf(planId, name, fileOrNull(workshop, newest.plan, pieces));
    underWay.pop();
    return circular.has(planId) ? { ...piece, isCircular: true } : piece;
  };
  const pieces: MadePieces = {
    of(planId) {
      let piece = known.get(planId);
      if (piece === undefined) {
        piece = make(planId);
        // Half way round a circle nothing is known yet.
        if (!underWay.includes(planId)) known.set(planId, piece);
      }
      return piece;
    },
  };
  return pieces;
}

/** What can't be worked out has no file here; its own card says why. */
function fileOrNull(workshop: Workshop, plan: Plan, pieces: MadePieces): PlanFile | null {
  try {
    return planFileOf(workshop, plan, pieces);
  } catch {
    return null;
  }
}

/** Pieces as they were worked out, by the file they came of. */
const PIECES = new WeakMap<PlanFile, MadePiece>();

function pieceOf(planId: string, name: string, file: PlanFile | null): MadePiece {
  const known = file && PIECES.get(file);
  if (known?.planId === planId) return known;
  const made = file && sheetOrNull(file);
  const piece = madePieceOf(planId, name, made);
  if (file) PIECES.set(file, piece);
  return piece;
}

function sheetOrNull(file: PlanFile): Sheet | null {
  const made = makeSheet(file);
  return made.success ? made.data : null;
}
