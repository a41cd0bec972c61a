import { baseSchema, heatOfBaseSchema } from '../materials/base';
import { blendSchema } from '../materials/blend';
import { hexColour } from '../materials/fields';
import { dosedMaterialSchema } from '../materials/material';
import { barsPerCavity, cavitiesOf, fillsFor, pieceShare } from '../molds/bars';
import { moldSchema } from '../molds/mold';
import { jugTurns } from '../pours/sharedJug';
import { fail, ok, type Result } from '../result';
import { z } from '../zod';
import { standing } from './displaced';
import { type JugPour, jugContents } from './jugContent';
import { makingSchema, USUAL_MAKING, whenSchema } from './making';
import { type PlanFile, type Pour, pourLetter, readsOtherwise, USES } from './plan';
import { pourSizeSchema } from './pourSize';
import { type PourRoom, pourVolumes, type SizeFault, sizeFaultSchema } from './pourVolumes';
import { pourWaySchema } from './pourWay';
import { ASSUMPTIONS, type RecipeLine, type RecipePour, recipeOf, SAID_AS } from './recipe';
import { RELATION_FAULTS } from './relations';
import { baseMassForVolume, pourSums } from './solvePour';

const grams = z.number().nonnegative();
const millilitres = z.number().nonnegative();
const fraction = z.number().nonnegative();

export const sheetLineSchema = z.strictObject({
  /** Of the dose in the plan. */
  doseId: z.string(),
  /** Place of the dose in its pour of the plan. */
  doseIndex: z.int().nonnegative(),
  material: dosedMaterialSchema,
  /** As it was typed. */
  text: z.string(),
  /** In this pour. */
  massG: grams,
  /** What goes into the jug before this pour; another figure where it goes on in the jug of the one before. */
  addG: z.number(),
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
  /** The dose is what its pour holds, or what is added to a jug that later pours go on in. */
  counts: z.enum(['content', 'added']).default('content'),
});

/** A dose that came into the jug with an earlier pour, as far as it is in this one. */
export const carriedLineSchema = sheetLineSchema.extend({ fromPourIndex: z.int().nonnegative() });

/** What is set into a pour, for all cavities that are filled. */
export const sheetEmbedSchema = z.strictObject({
  /** Of what is set in, in the plan. */
  embedId: z.string(),
  /** Place in its pour of the plan. */
  embedIndex: z.int().nonnegative(),
  /** Of the plan, or of the material on the shelf. */
  id: z.string(),
  name: z.string(),
  kind: z.enum(['plan', 'scrap', 'piece']),
  /** How many go into each cavity; null for a filling. */
  perPiece: z.int().positive().nullable(),
  /** Of one. A filling has none. */
  eachG: grams.nullable(),
  eachMl: millilitres.nullable(),
  massG: grams,
  volumeMl: millilitres,
  densityGPerMl: z.number().positive(),
  densityAssumed: z.boolean(),
  /** Share of the pour's room that a filling takes; null for pieces. */
  ofRoom: fraction.nullable(),
  /** How long one is the way it is looked at; null when only its weight or volume is known. */
  widthMm: z.number().positive().nullable(),
  isBall: z.boolean(),
  colour: hexColour.nullable(),
  /** What it is of; null where nobody knows. */
  ofBase: heatOfBaseSchema.nullable().default(null),
  /** Where it stands over the floor of the cavity; null where its height or the shape is not known. */
  bottomMm: z.number().nullable(),
  topMm: z.number().nullable(),
});

export const sheetPourSchema = z.strictObject({
  /** Of the pour in the plan. */
  id: z.string(),
  letter: z.string(),
  base: baseSchema,
  baseG: grams,
  /** Base melted before this pour: for all pours that go on in its jug; nothing where it goes on itself. */
  meltG: grams,
  baseDensityAssumed: z.boolean(),
  additionsG: grams,
  additionsOfBase: fraction,
  /** Base and additions in the jug, with what will stay on its walls. */
  jugG: grams,
  jugVolumeMl: millilitres,
  intoMoldG: grams,
  intoMoldMl: millilitres,
  /** What is set into it takes up so much of its room, for all cavities. */
  displacedMl: millilitres,
  /** Where it lies over the middle of the cavity's floor; null where the mold's shape is not known. */
  fromMm: z.number().nonnegative().nullable(),
  toMm: z.number().nonnegative().nullable(),
  /** Height of its surface's plane over the middle; a wedge may not reach the middle. */
  surfaceMm: z.number().nullable(),
  way: pourWaySchema,
  embeds: z.array(sheetEmbedSchema),
  /** Names of what is set into it and has no size: in no weight. */
  embedsUnsized: z.array(z.string()),
  /** Those of them whose plan is set into itself. */
  embedsCircular: z.array(z.string()).default([]),
  /** How its size was said. */
  size: pourSizeSchema,
  when: whenSchema,
  lines: z.array(sheetLineSchema),
  /** What is still in its jug of the doses of earlier pours. */
  carried: z.array(carriedLineSchema).default([]),
  /** Doses whose text would be read otherwise now than when they were typed. */
  readOtherwise: z
    .array(z.strictObject({ doseIndex: z.int().nonnegative(), name: z.string(), text: z.string() }))
    .default([]),
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
  /** Asked for: bars, where the mold is sliced. */
  pieces: z.int().positive(),
  /** Cavities that are filled, over all rounds. */
  fills: z.int().positive(),
  /** What they give: at least what is asked for. */
  piecesMade: z.int().positive(),
  fillFraction: fraction,
  jugLossFraction: fraction,
  making: makingSchema,
  pours: z.array(sheetPourSchema).min(1),
  sizeFaults: z.array(sizeFaultSchema),
  totals: z.strictObject({
    baseG: grams,
    additionsG: grams,
    jugG: grams,
    leftInJugG: grams,
    intoMoldG: grams,
    intoMoldMl: millilitres,
    /** What is set into the pours. */
    embedsG: grams,
    /** Pours that are cut off again. */
    trimmedG: grams,
    /** Of what comes out of one cavity, without what is cut off, with what is set in; and of one piece of it. */
    fillG: grams,
    pieceG: grams,
    /** How often the molds are filled. */
    rounds: z.int().positive(),
  }),
});

export type SheetLine = z.infer<typeof sheetLineSchema>;
export type CarriedSheetLine = z.infer<typeof carriedLineSchema>;
export type SheetEmbed = z.infer<typeof sheetEmbedSchema>;
export type SheetPour = z.infer<typeof sheetPourSchema>;
export type Sheet = z.infer<typeof sheetSchema>;

/** The additions of a pour, or what is set into it, are more than its share of the molds. */
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
 * jug volume · (1 − loss) = pieces · capacity · fill, less what is set into the pours.
 *
 * @param file a plan file that has passed its schema
 */
export function makeSheet(file: PlanFile): Result<Sheet, NoRoomForBase> {
  const { plan, mold } = file;
  const { recipe, rooms, faults } = roomsAndJugs(file);
  const pours: SheetPour[] = [];
  for (const [pourIndex, recipePour] of recipe.entries()) {
    const room = rooms[pourIndex];
    const planned = plan.pours[pourIndex];
    if (!room || !planned) continue;
    const pour = makePour(recipePour, pourIndex, room, planned, file);
    if (!pour.success) return fail({ ...pour.error, sizeFaults: faults });
    pours.push(pour.data);
  }
  // From a jug of its own a pour takes what it weighs, and that stands there already.
  if (plan.pours.some(({ way }) => way?.sameJug)) setJugTurns(pours);

  const sum = (figure: (pour: SheetPour) => number) => pours.reduce((total, pour) => total + figure(pour), 0);
  const fills = fillsFor(plan.pieces, mold);
  const jugG = sum((pour) => pour.jugG);
  const intoMoldG = sum((pour) => pour.intoMoldG);
  const embedsG = sum(({ embeds }) => embeds.reduce((total, { massG }) => total + massG, 0));
  const trimmedG = sum(({ way, intoMoldG: own }) => (way.trimmed ? own : 0));
  const fillG = (intoMoldG - trimmedG + embedsG) / fills;
  return ok({
    version: 1,
    planName: plan.name,
    use: plan.use,
    note: plan.note,
    mold,
    pieces: plan.pieces,
    fills,
    piecesMade: fills * barsPerCavity(mold),
    fillFraction: plan.fillFraction,
    jugLossFraction: plan.jugLossFraction,
    making: plan.making ?? USUAL_MAKING,
    pours,
    sizeFaults: faults,
    totals: {
      baseG: sum((pour) => pour.baseG),
      additionsG: sum((pour) => pour.additionsG),
      jugG,
      leftInJugG: jugG * plan.jugLossFraction,
      intoMoldG,
      intoMoldMl: sum((pour) => pour.intoMoldMl),
      embedsG,
      trimmedG,
      fillG,
      pieceG: fillG * pieceShare(mold),
      rounds: Math.ceil(fills / cavitiesOf(mold)),
    },
  });
}

/** Pours that are told by weight take up the room of what their jug holds, which follows from the rooms again. */
const MOST_ROOM_TURNS = 6;

function roomsAndJugs(file: PlanFile) {
  const { plan, mold } = file;
  const fills = fillsFor(plan.pieces, mold);
  const told = recipeOf(file);
  let recipe: readonly JugPour[] = told.map((pour) => ({ ...pour, carried: [] }));
  let found = pourVolumes(plan, mold, recipe);
  if (plan.pours.some(({ way }) => way?.sameJug)) {
    const turns = plan.pours.some(({ size }) => size.by === 'mass') ? MOST_ROOM_TURNS : 1;
    for (let turn = 0; turn < turns; turn++) {
      recipe = jugContents(
        told,
        found.rooms.map(
          ({ volumeMl, displacedMl }) => ((volumeMl - displacedMl) * fills) / (1 - plan.jugLossFraction),
        ),
      );
      if (turns > 1) found = pourVolumes(plan, mold, recipe);
    }
  }
  return { recipe, ...found };
}

function setJugTurns(pours: readonly SheetPour[]) {
  jugTurns(pours).forEach(({ meltG, addG }, index) => {
    const pour = pours[index];
    if (!pour) return;
    pour.meltG = meltG;
    pour.lines.forEach((line, place) => {
      line.addG = addG[place] ?? line.massG;
    });
  });
}

/** Spelled out in one piece: a key in the dose grid waits for it. */
function makePour(
  pour: JugPour,
  pourIndex: number,
  room: PourRoom,
  { id, size, doses, way = {}, when = {} }: Pour,
  file: PlanFile,
): Result<SheetPour, Omit<NoRoomForBase, 'sizeFaults'>> {
  const { jugLossFraction } = file.plan;
  const fills = fillsFor(file.plan.pieces, file.mold);
  const intoMoldMl = (room.volumeMl - room.displacedMl) * fills;
  const jugVolumeMl = intoMoldMl / (1 - jugLossFraction);
  const sums = pourSums(pour);
  const baseG = baseMassForVolume(sums, jugVolumeMl);
  if (!(baseG > 0)) {
    return fail({ code: 'no-room-for-base', pourIndex, additionsMl: sums.fixedMl, roomMl: jugVolumeMl });
  }
  const jugG = baseG * sums.massPerBaseG + sums.fixedG;
  return ok({
    id,
    letter: pourLetter(pourIndex),
    base: pour.base,
    baseG,
    meltG: baseG,
    baseDensityAssumed: pour.baseDensityAssumed,
    additionsG: jugG - baseG,
    additionsOfBase: (jugG - baseG) / baseG,
    jugG,
    jugVolumeMl,
    intoMoldG: jugG * (1 - jugLossFraction),
    intoMoldMl,
    displacedMl: room.displacedMl * fills,
    fromMm: room.fromMm,
    toMm: room.toMm,
    surfaceMm: room.surfaceMm,
    way,
    embeds: embedsOf(pour, room, fills),
    embedsUnsized: unsizedNames(pour, file),
    embedsCircular: circularNames(pour, file),
    size,
    when,
    lines: pour.lines.map((line) => makeLine(line, baseG, jugG)),
    carried: pour.carried.map(({ fromPourIndex, ...line }) => ({
      ...makeLine(line, baseG, jugG),
      addG: 0,
      fromPourIndex,
    })),
    readOtherwise: otherwiseOf(doses, file),
    unreadable: pour.unreadable,
  });
}

function otherwiseOf(doses: Pour['doses'], { materials }: PlanFile): SheetPour['readOtherwise'] {
  if (!doses.some(readsOtherwise)) return [];
  return doses.flatMap((each, doseIndex) =>
    readsOtherwise(each)
      ? [
          {
            doseIndex,
            name: materials.find(({ id }) => id === each.materialId)?.name ?? '',
            text: each.text,
          },
        ]
      : [],
  );
}

function makeLine(line: RecipeLine, baseG: number, jugG: number): SheetLine {
  const massG = line.amount.shareOfBase * baseG + line.amount.fixedG;
  const inJugG = line.leaves ? 0 : massG;
  return {
    doseId: line.doseId,
    doseIndex: line.doseIndex,
    material: line.material,
    text: line.text,
    massG,
    addG: massG,
    volumeMl: inJugG / line.densityGPerMl,
    ofBase: inJugG / baseG,
    ofProduct: inJugG / jugG,
    saidAs: line.saidAs,
    exact: line.exact,
    assumed: line.assumed,
    blend: line.blend,
    wets: line.wets,
    leaves: line.leaves,
    counts: line.counts,
  };
}

function embedsOf({ embeds }: RecipePour, room: PourRoom, fills: number): SheetEmbed[] {
  return embeds.flatMap(({ embed, piece }, embedIndex): SheetEmbed[] => {
    if (!piece) return [];
    const isFilling = embed.as === 'filling';
    const count = isFilling ? embed.ofRoom * room.volumeMl : embed.perPiece;
    const stands =
      !isFilling && piece.heightMm !== null && room.fromMm !== null && room.toMm !== null
        ? standing(embed, piece.heightMm, room.fromMm, room.toMm)
        : null;
    return [
      {
        embedId: embed.id,
        embedIndex,
        id: piece.id,
        name: piece.name,
        kind: piece.kind,
        perPiece: isFilling ? null : embed.perPiece,
        eachG: isFilling ? null : piece.massG,
        eachMl: isFilling ? null : piece.volumeMl,
        massG: piece.massG * count * fills,
        volumeMl: piece.volumeMl * count * fills,
        densityGPerMl: piece.massG / piece.volumeMl,
        densityAssumed: piece.assumed,
        ofRoom: isFilling ? embed.ofRoom : null,
        widthMm: piece.widthMm,
        isBall: piece.isBall,
        ofBase: piece.ofBase,
        colour: piece.colour,
        bottomMm: stands?.bottomMm ?? null,
        topMm: stands?.topMm ?? null,
      },
    ];
  });
}

function unsizedNames({ embeds }: RecipePour, { materials, made }: PlanFile): string[] {
  return embeds.flatMap(({ embed: { from }, piece }) => {
    if (piece) return [];
    const source =
      from.is === 'plan'
        ? made?.find(({ planId }) => planId === from.planId)
        : materials.find(({ id }) => id === from.materialId);
    return [source?.name ?? ''];
  });
}

function circularNames({ embeds }: RecipePour, { made }: PlanFile): string[] {
  return embeds.flatMap(({ embed: { from }, piece }) => {
    const source = piece || from.is !== 'plan' ? null : made?.find(({ planId }) => planId === from.planId);
    return source?.isCircular ? [source.name] : [];
  });
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

/** Everything that a pour holds: its own doses, and what is still in its jug of earlier ones. */
export function contentOf({ lines, carried }: Pick<SheetPour, 'lines' | 'carried'>): SheetLine[] {
  return carried.length > 0 ? [...lines, ...carried] : lines;
}

/** Which pour's dose a line is: its own, or that of the pour it was added before. */
export function pourOfLine(line: SheetLine, pourIndex: number): number {
  return 'fromPourIndex' in line ? (line as CarriedSheetLine).fromPourIndex : pourIndex;
}
