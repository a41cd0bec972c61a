import { pieceShare } from '../molds/bars';
import {
  cavitiesFilled,
  cavityCount,
  fillsFor,
  piecesMadeOf,
  roundFills,
  secondShare,
} from '../molds/filled';
import { type Fillings, meltOfFillings } from '../pours/leastMelt';
import { jugTurns } from '../pours/sharedJug';
import { fail, ok, type Result } from '../result';
import type { Batch, BatchFault } from './batch';
import { standing } from './displaced';
import { type Filling, fillingOf } from './filling';
import { jugContents } from './jugContent';
import { USUAL_MAKING } from './making';
import { type Plan, type PlanFile, type Pour, pourLetter, readsOtherwise } from './plan';
import { displacedIn, type PourRoom, pourVolumes } from './pourVolumes';
import { type RecipePour, recipeOf } from './recipe';
import type { RecipeLine } from './recipeLine';
import type { Sheet, SheetEmbed, SheetLaid, SheetLine, SheetPour } from './sheet';
import type { SizeFault } from './sizeFault';
import { baseMassForVolume, pourSums } from './solvePour';

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
  const { batch, pieces, fillFraction } = file.plan;
  const asSaid: Filling = { fills: fillsFor(pieces, file), fillFraction };
  if (!batch) return sheetAt(file, asSaid);
  const { fault, ...filling } = fillingOf(batch, asSaid, (tried) => {
    const made = sheetAt(file, tried);
    return made.success ? batchG(made.data.totals, batch) : null;
  });
  return sheetAt(file, filling, fault);
}

function batchG({ baseG, jugG }: Sheet['totals'], { by }: Batch): number {
  return by === 'base' ? baseG : jugG;
}

/** The sheet of a plan whose molds are filled so. */
function sheetAt(
  file: PlanFile,
  filling: Filling,
  fault: BatchFault | null = null,
): Result<Sheet, NoRoomForBase> {
  const { plan, mold, secondMold = null } = file;
  const { fills, fillFraction } = filling;
  const cavities = cavityCount(file, fills);
  const { recipe, rooms, faults } = roomsAndJugs(file, filling);
  const pours: SheetPour[] = [];
  for (const [pourIndex, recipePour] of recipe.entries()) {
    const room = rooms[pourIndex];
    const planned = plan.pours[pourIndex];
    if (!room || !planned) continue;
    const pour = makePour(recipePour, pourIndex, room, planned, file, { fills, cavities });
    if (!pour.success) return fail({ ...pour.error, sizeFaults: faults });
    pours.push(pour.data);
  }
  // From a jug of its own a pour takes what it weighs, and that stands there already.
  if (sharesJugs(plan)) setJugTurns(pours, fillingsOf(file, fills));

  const sum = (figure: (pour: SheetPour) => number) => pours.reduce((total, pour) => total + figure(pour), 0);
  const baseG = sum((pour) => pour.baseG);
  const jugG = sum((pour) => pour.jugG);
  const intoMoldG = sum((pour) => pour.intoMoldG);
  const embedsG = sum(({ embeds }) => embeds.reduce((total, { massG }) => total + massG, 0));
  const trimmedG = sum(({ way, intoMoldG: own }) => (way.trimmed ? own : 0));
  const laidG = sum(({ laid }) => laid.reduce((total, { leaves, massG }) => total + (leaves ? 0 : massG), 0));
  const piecesMade = piecesMadeOf(file, fills);
  const fillG = fillOf(pours, rooms, file, { fills, cavities, laidG });
  const totals = {
    baseG,
    additionsG: sum((pour) => pour.additionsG),
    jugG,
    leftInJugG: jugG * plan.jugLossFraction,
    intoMoldG,
    intoMoldMl: sum((pour) => pour.intoMoldMl),
    embedsG,
    laidG,
    trimmedG,
    fillG: fillG.first,
    pieceG: fillG.first * pieceShare(mold),
    secondFillG: fillG.second,
    secondPieceG: secondMold ? fillG.second * pieceShare(secondMold) : 0,
    rounds: Math.ceil(fills / roundFills(file) - ROUND_CRUMB),
  };
  return ok({
    version: 1,
    planName: plan.name,
    use: plan.use,
    note: plan.note,
    mold,
    secondMold,
    pieces: plan.batch ? piecesMade : plan.pieces,
    fills,
    piecesMade,
    fillFraction,
    batch: plan.batch ? { ...plan.batch, fault, comesToG: batchG(totals, plan.batch) } : null,
    jugLossFraction: plan.jugLossFraction,
    leastMeltG: plan.leastMeltG ?? 0,
    making: plan.making ?? USUAL_MAKING,
    packaging: packagingOf(file),
    pours,
    sizeFaults: faults,
    totals,
  });
}

function packagingOf({ plan, materials }: PlanFile): Sheet['packaging'] {
  return (plan.packaging ?? []).map((packed) => ({
    ...packed,
    name: materials.find(({ id }) => id === packed.materialId)?.name ?? '',
  }));
}

/** Rounds that are full to this much are told as full. */
const ROUND_CRUMB = 1e-9;

/** What comes out of a cavity of either mold, without what is cut off, with what is set in and laid, g. */
function fillOf(
  pours: readonly SheetPour[],
  rooms: readonly PourRoom[],
  file: PlanFile,
  { fills, cavities, laidG }: { fills: number; cavities: number; laidG: number },
): { first: number; second: number } {
  const at = (share: number) =>
    pours.reduce((sum, { way, intoMoldG, intoMoldMl, embeds }, index) => {
      const room = rooms[index] ?? { volumeMl: 0, displacedMl: 0, fillingMl: 0 };
      // What does not fit is a stop, and pours nothing.
      const pouredMl = Math.max(0, room.volumeMl * share - displacedIn(room, { fills: share, cavities: 1 }));
      const pouredG = way.trimmed ? 0 : (intoMoldG / intoMoldMl) * pouredMl;
      const setInG = embeds.reduce(
        (all, { perPiece, massG }) => all + (perPiece === null ? (massG / fills) * share : massG / cavities),
        0,
      );
      return sum + pouredG + setInG;
    }, laidG / cavities);
  const { second } = cavitiesFilled(file, fills);
  return { first: at(1), second: second > 0 ? at(secondShare(file)) : 0 };
}

/** True where what is in a jug is not just what one pour takes. */
function sharesJugs({ pours, leastMeltG = 0 }: Plan): boolean {
  return leastMeltG > 0 || pours.some(({ way }) => way?.sameJug);
}

function fillingsOf({ plan, mold, secondMold }: PlanFile, fills: number): Fillings {
  return { fills, mold, secondMold, leastMeltG: plan.leastMeltG ?? 0 };
}

/** Pours that are told by weight take up the room of what their jug holds, which follows from the rooms again. */
const MOST_ROOM_TURNS = 6;

function roomsAndJugs(file: PlanFile, filling: Filling) {
  const { plan } = file;
  const { fills } = filling;
  const each = cavityCount(file, fills) / fills;
  const told = recipeOf(file, fills);
  let recipe: readonly RecipePour[] = told;
  let found = pourVolumes(file, recipe, filling);
  if (sharesJugs(plan)) {
    const turns = plan.pours.some(({ size }) => size.by === 'mass' || size.by === 'base')
      ? MOST_ROOM_TURNS
      : 1;
    for (let turn = 0; turn < turns; turn++) {
      recipe = jugContents(
        told,
        found.rooms.map(
          (room) =>
            ((room.volumeMl - displacedIn(room, { fills: 1, cavities: each })) * fills) /
            (1 - plan.jugLossFraction),
        ),
        fillingsOf(file, fills),
      );
      if (turns > 1) found = pourVolumes(file, recipe, filling);
    }
  }
  return { recipe, ...found };
}

function setJugTurns(pours: readonly SheetPour[], fillings: Fillings) {
  jugTurns(pours, (baseG) => meltOfFillings(baseG, fillings)).forEach(({ meltG, addG }, index) => {
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
  pour: RecipePour,
  pourIndex: number,
  room: PourRoom,
  { id, size, doses, way = {}, when = {}, note = '' }: Pour,
  file: PlanFile,
  { fills, cavities }: { fills: number; cavities: number },
): Result<SheetPour, Omit<NoRoomForBase, 'sizeFaults'>> {
  const { jugLossFraction } = file.plan;
  const intoMoldMl = (room.volumeMl - displacedIn(room, { fills: 1, cavities: cavities / fills })) * fills;
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
    displacedMl: displacedIn(room, { fills, cavities }),
    fromMm: room.fromMm,
    toMm: room.toMm,
    surfaceMm: room.surfaceMm,
    way,
    embeds: embedsOf(pour, room, { fills, cavities }),
    embedsUnsized: unsizedNames(pour, file),
    embedsCircular: circularNames(pour, file),
    size,
    when,
    note,
    lines: pour.lines.map((line) => makeLine(line, baseG, jugG)),
    laid: laidLines(pour, baseG, jugG * (1 - jugLossFraction)),
    carried: pour.carried.map(({ fromPourIndex, ...line }) => ({
      ...makeLine(line, baseG, jugG),
      addG: 0,
      fromPourIndex,
    })),
    remelt: pour.remelt,
    inherited: pour.inherited.map(({ fromScrapId, ...line }) => ({
      ...makeLine(line, baseG, jugG),
      addG: 0,
      fromScrapId,
    })),
    readOtherwise: otherwiseOf(doses, file),
    unreadable: pour.unreadable,
  });
}

/** What is laid is in no share of the base, and in the product beside what was poured. */
function laidLines({ laid }: RecipePour, baseG: number, intoMoldG: number): SheetLaid[] {
  if (laid.length === 0) return [];
  const laidG = laid.reduce((sum, { leaves, amount }) => sum + (leaves ? 0 : amount.fixedG), 0);
  return laid.map((line) => ({
    ...makeLine(line, baseG, intoMoldG + laidG),
    ofBase: 0,
    laid: line.laid,
  }));
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
    counted: line.counted,
    byEye: line.byEye && {
      mostG: line.byEye.most && line.byEye.most.shareOfBase * baseG + line.byEye.most.fixedG,
    },
    isOptional: line.isOptional,
  };
}

function embedsOf(
  { embeds }: RecipePour,
  room: PourRoom,
  { fills, cavities }: { fills: number; cavities: number },
): SheetEmbed[] {
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
        partsOfOne: isFilling ? 1 : (embed.partsOfOne ?? 1),
        eachG: isFilling ? null : piece.massG,
        eachMl: isFilling ? null : piece.volumeMl,
        massG: piece.massG * count * (isFilling ? fills : cavities),
        volumeMl: piece.volumeMl * count * (isFilling ? fills : cavities),
        densityGPerMl: piece.massG / piece.volumeMl,
        densityAssumed: piece.assumed,
        ofRoom: isFilling ? embed.ofRoom : null,
        widthMm: piece.widthMm,
        isBall: piece.isBall,
        ofBase: piece.ofBase,
        colour: piece.colour,
        holds: piece.holds,
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
