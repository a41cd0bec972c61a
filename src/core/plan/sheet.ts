import { baseSchema } from '../materials/base';
import { blendSchema } from '../materials/blend';
import { dosedMaterialSchema } from '../materials/material';
import { moldSchema } from '../molds/mold';
import { fail, ok, type Result } from '../result';
import { z } from '../zod';
import { type PlanFile, pourLetter, USES } from './plan';
import { pourSizeSchema } from './pourSize';
import { pourVolumes, type SizeFault, sizeFaultSchema } from './pourVolumes';
import { ASSUMPTIONS, type RecipeLine, type RecipePour, recipeOf, SAID_AS } from './recipe';
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
  /** Name of the blend that was dosed; its fragrances are weighed one by one. */
  blend: z.string().nullable(),
  /** It is what the dose is wetted in. */
  wets: z.boolean(),
  /** It leaves the hot base again: to be measured, but in no sum and no share. */
  leaves: z.boolean(),
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
  /** Where it lies in the cavity, from the floor; null where the mold's shape is not known. */
  fromMm: z.number().nonnegative().nullable(),
  toMm: z.number().nonnegative().nullable(),
  /** How its size was said. */
  size: pourSizeSchema,
  lines: z.array(sheetLineSchema),
  unreadable: z.array(
    z.strictObject({
      doseIndex: z.int().nonnegative(),
      material: z.discriminatedUnion('kind', [...dosedMaterialSchema.options, blendSchema]),
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
  sizeFaults: z.array(sizeFaultSchema),
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
  sizeFaults: SizeFault[];
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
  const recipe = recipeOf(file);
  const { rooms, faults } = pourVolumes(plan, mold, recipe);
  const pours: SheetPour[] = [];
  for (const [pourIndex, recipePour] of recipe.entries()) {
    const room = rooms[pourIndex];
    const size = plan.pours[pourIndex]?.size;
    if (!room || !size) continue;
    const pour = makePour(recipePour, pourIndex, room.volumeMl * plan.pieces, plan.jugLossFraction);
    if (!pour.success) return fail({ ...pour.error, sizeFaults: faults });
    pours.push({ ...pour.data, fromMm: room.fromMm, toMm: room.toMm, size });
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
    sizeFaults: faults,
    totals: {
      baseG: sum((pour) => pour.baseG),
      additionsG: sum((pour) => pour.additionsG),
      jugG,
      leftInJugG: jugG * plan.jugLossFraction,
      intoMoldG,
      intoMoldMl: sum((pour) => pour.intoMoldMl),
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
): Result<Omit<SheetPour, 'fromMm' | 'toMm' | 'size'>, Omit<NoRoomForBase, 'sizeFaults'>> {
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
    lines: pour.lines.map((line) => makeLine(line, baseG, jugG)),
    unreadable: pour.unreadable,
  });
}

function makeLine(line: RecipeLine, baseG: number, jugG: number): SheetLine {
  const massG = line.amount.shareOfBase * baseG + line.amount.fixedG;
  const inJugG = line.leaves ? 0 : massG;
  return {
    doseIndex: line.doseIndex,
    material: line.material,
    text: line.text,
    massG,
    volumeMl: inJugG / line.densityGPerMl,
    ofBase: inJugG / baseG,
    ofProduct: inJugG / jugG,
    saidAs: line.saidAs,
    exact: line.exact,
    assumed: line.assumed,
    blend: line.blend,
    wets: line.wets,
    leaves: line.leaves,
  };
}

/** What the lines of one dose come to, its dispersant apart. */
export function doseOf(pour: SheetPour, doseIndex: number) {
  const lines = pour.lines.filter((line) => line.doseIndex === doseIndex && !line.wets);
  const sum = (figure: (line: SheetLine) => number) => lines.reduce((total, line) => total + figure(line), 0);
  return {
    lines,
    massG: sum(({ massG }) => massG),
    ofBase: sum(({ ofBase }) => ofBase),
    ofProduct: sum(({ ofProduct }) => ofProduct),
    exact: lines.every(({ exact }) => exact),
  };
}
