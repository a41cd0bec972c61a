import { baseSchema, dosedMaterialSchema } from '../materials/material';
import { moldSchema } from '../molds/mold';
import { fail, ok, type Result } from '../result';
import { z } from '../zod';
import { type PlanFile, pourLetter, USES } from './plan';
import { ASSUMPTIONS, type RecipeDose, type RecipePour, recipeOf, SAID_AS } from './recipe';
import { RELATION_FAULTS } from './relations';
import { baseMassForVolume, pourSums } from './solvePour';

const grams = z.number().nonnegative();
const millilitres = z.number().nonnegative();
const fraction = z.number().nonnegative();

export const sheetLineSchema = z.strictObject({
  /** Place of the dose in its pour of the plan. */
  doseIndex: z.int().nonnegative(),
  material: dosedMaterialSchema,
  /** As it was typed. */
  text: z.string(),
  massG: grams,
  volumeMl: millilitres,
  ofBase: fraction,
  ofProduct: fraction,
  /** In proportion to the base, as an amount, or in relation to another dose. */
  saidAs: z.enum(SAID_AS),
  /** A weight is exact; a spoon, a volume, a block or a drop is not. */
  exact: z.boolean(),
  assumed: z.array(z.enum(ASSUMPTIONS)),
});

export const sheetPourSchema = z.strictObject({
  letter: z.string(),
  base: baseSchema,
  baseG: grams,
  baseDensityAssumed: z.boolean(),
  additionsG: grams,
  additionsOfBase: fraction,
  /** Base and additions in the jug, with what will stay on its walls. */
  jugG: grams,
  jugVolumeMl: millilitres,
  intoMoldG: grams,
  intoMoldMl: millilitres,
  lines: z.array(sheetLineSchema),
  unreadable: z.array(
    z.strictObject({
      doseIndex: z.int().nonnegative(),
      material: dosedMaterialSchema,
      text: z.string(),
      why: z.enum(['text', ...RELATION_FAULTS]),
    }),
  ),
});

/** Every computed weight and yield of a plan, with the facts it was computed from. */
export const sheetSchema = z.strictObject({
  version: z.literal(1),
  planName: z.string(),
  use: z.enum(USES),
  note: z.string(),
  mold: moldSchema,
  pieces: z.int().positive(),
  fillFraction: fraction,
  jugLossFraction: fraction,
  pours: z.array(sheetPourSchema).min(1),
  totals: z.strictObject({
    baseG: grams,
    additionsG: grams,
    jugG: grams,
    leftInJugG: grams,
    intoMoldG: grams,
    intoMoldMl: millilitres,
    pieceG: grams,
    /** How often the mold is filled. */
    rounds: z.int().positive(),
  }),
});

export type SheetLine = z.infer<typeof sheetLineSchema>;
export type SheetPour = z.infer<typeof sheetPourSchema>;
export type Sheet = z.infer<typeof sheetSchema>;

/** The additions of a pour alone are more than its share of the molds. */
export interface NoRoomForBase {
  code: 'no-room-for-base';
  pourIndex: number;
  additionsMl: number;
  roomMl: number;
}

/**
 * The sheet of a plan: base weights with which base *and* additions fill the cavities, and every dose in grams.
 *
 * Volume is taken as additive. The jug holds `jugLossFraction` more than reaches the molds:
 * jug volume · (1 − loss) = pieces · capacity · fill.
 *
 * @param file a plan file that has passed its schema
 */
export function makeSheet(file: PlanFile): Result<Sheet, NoRoomForBase> {
  const { plan, mold } = file;
  const fillMl = plan.pieces * mold.capacityMl * plan.fillFraction;
  const pours: SheetPour[] = [];
  for (const [pourIndex, recipePour] of recipeOf(file).entries()) {
    const pour = makePour(recipePour, pourIndex, fillMl * recipePour.shareOfFill, plan.jugLossFraction);
    if (!pour.success) return pour;
    pours.push(pour.data);
  }

  const sum = (figure: (pour: SheetPour) => number) => pours.reduce((total, pour) => total + figure(pour), 0);
  const jugG = sum((pour) => pour.jugG);
  const intoMoldG = sum((pour) => pour.intoMoldG);
  return ok({
    version: 1,
    planName: plan.name,
    use: plan.use,
    note: plan.note,
    mold,
    pieces: plan.pieces,
    fillFraction: plan.fillFraction,
    jugLossFraction: plan.jugLossFraction,
    pours,
    totals: {
      baseG: sum((pour) => pour.baseG),
      additionsG: sum((pour) => pour.additionsG),
      jugG,
      leftInJugG: jugG * plan.jugLossFraction,
      intoMoldG,
      intoMoldMl: fillMl,
      pieceG: intoMoldG / plan.pieces,
      rounds: Math.ceil(plan.pieces / mold.cavities),
    },
  });
}

function makePour(
  pour: RecipePour,
  pourIndex: number,
  intoMoldMl: number,
  jugLossFraction: number,
): Result<SheetPour, NoRoomForBase> {
  const jugVolumeMl = intoMoldMl / (1 - jugLossFraction);
  const sums = pourSums(pour);
  const baseG = baseMassForVolume(sums, jugVolumeMl);
  if (!(baseG > 0)) {
    return fail({ code: 'no-room-for-base', pourIndex, additionsMl: sums.fixedMl, roomMl: jugVolumeMl });
  }
  const jugG = baseG * sums.massPerBaseG + sums.fixedG;
  return ok({
    letter: pourLetter(pourIndex),
    base: pour.base,
    baseG,
    baseDensityAssumed: pour.baseDensityAssumed,
    additionsG: jugG - baseG,
    additionsOfBase: (jugG - baseG) / baseG,
    jugG,
    jugVolumeMl,
    intoMoldG: jugG * (1 - jugLossFraction),
    intoMoldMl,
    lines: pour.doses.map((dose) => makeLine(dose, baseG, jugG)),
    unreadable: pour.unreadable,
  });
}

function makeLine(dose: RecipeDose, baseG: number, jugG: number): SheetLine {
  const massG = dose.amount.shareOfBase * baseG + dose.amount.fixedG;
  return {
    doseIndex: dose.doseIndex,
    material: dose.material,
    text: dose.text,
    massG,
    volumeMl: massG / dose.densityGPerMl,
    ofBase: massG / baseG,
    ofProduct: massG / jugG,
    saidAs: dose.saidAs,
    exact: dose.exact,
    assumed: dose.assumed,
  };
}
