import type { Base } from '../materials/base';
import { blendShares } from '../materials/blend';
import { materialsById } from '../materials/byId';
import { baseDensity, stirredDensity } from '../materials/defaults';
import type { DosedMaterial, Material } from '../materials/material';
import { piecesOf } from '../molds/filled';
import { hasMold } from '../molds/noMold';
import type { PlacedEmbed } from './displaced';
import { embedPiece } from './embed';
import { joinDoses } from './joinDoses';
import type { SharedOut } from './measureDose';
import type { Dose, PlanFile, Pour } from './plan';
import type { PourWay } from './pourWay';
import type { Amount, RecipeDose, UnreadDose } from './recipeDose';
import type { CarriedLine, InheritedLine, LaidLine, RecipeLine } from './recipeLine';
import { headOfJug, type Remelt, remeltOf } from './remelt';

export interface RecipePour {
  base: Base;
  /** What of the base comes out of the scrap jar, and what that brings along; it is in the base's weight. */
  remelt: Remelt | null;
  inherited: InheritedLine[];
  way: PourWay;
  baseDensityGPerMl: number;
  baseDensityAssumed: boolean;
  lines: RecipeLine[];
  laid: LaidLine[];
  /** None, before it is known what its jug holds. */
  carried: CarriedLine[];
  unreadable: UnreadDose[];
  embeds: PlacedEmbed[];
}

/**
 * Joins a plan's pours with the materials they name. The file must have passed its schema.
 *
 * @param fills cavities that are filled, those of a second mold as so many of the first, for what is said by the piece
 */
export function recipeOf(file: PlanFile, fills: number): RecipePour[] {
  const shared: SharedOut = {
    pieces: hasMold(file) ? piecesOf(file, fills) : null,
    jugLossFraction: file.plan.jugLossFraction,
  };
  const materials = materialsById(file.materials);
  return file.plan.pours.map((pour, pourIndex) => {
    const base = materials.get(pour.baseId);
    if (base?.kind !== 'base') throw new RangeError(`no base “${pour.baseId}” in the plan file`);
    const density = baseDensity(base);
    const { doses, unreadable } = joinDoses(pour, shared, materials);
    return {
      base,
      ...remeltOf(headOfJug(file.plan.pours, pourIndex), materials),
      baseDensityGPerMl: density.value,
      baseDensityAssumed: density.assumed,
      way: pour.way ?? {},
      ...sharedOut(doses, pour, materials),
      carried: [],
      unreadable,
      embeds: (pour.embeds ?? []).map((embed) => ({
        embed,
        piece: embedPiece(embed, materials, file.made ?? []),
      })),
    };
  });
}

type Materials = ReadonlyMap<string, Material>;

/** What is stirred in, and what is laid. */
function sharedOut(
  doses: readonly RecipeDose[],
  pour: Pour,
  materials: Materials,
): Pick<RecipePour, 'lines' | 'laid'> {
  const lines: RecipeLine[] = [];
  const laidLines: LaidLine[] = [];
  for (const each of doses) {
    const planned = pour.doses[each.doseIndex];
    const laid = planned?.laid;
    const own = linesOf(each, planned, materials);
    if (laid) laidLines.push(...own.map((line) => ({ ...line, laid })));
    else lines.push(...own);
  }
  return { lines, laid: laidLines };
}

function linesOf(dose: RecipeDose, planned: Dose | undefined, materials: Materials): RecipeLine[] {
  const { material } = dose;
  const wetIn = planned?.wetIn;
  const counts = planned?.counts ?? 'added';
  const lines =
    material.kind === 'blend'
      ? blendShares(material, materials).map((member) =>
          lineOf(dose, member.material, member.share, material.name, false, counts),
        )
      : [lineOf(dose, material, 1, null, false, counts)];
  const dispersant = wetIn && materials.get(wetIn.dispersantId);
  if (wetIn === undefined || dispersant?.kind !== 'dispersant') return lines;
  return [...lines, lineOf(dose, dispersant, wetIn.times, null, true, counts)];
}

/** Spelled out: this and `makeLine` are what a key in the dose grid waits for. */
function lineOf(
  { doseId, doseIndex, text, saidAs, amount, exact, assumed, isEach, counted, byEye, isOptional }: RecipeDose,
  material: DosedMaterial,
  times: number,
  blend: string | null,
  wets: boolean,
  counts: RecipeLine['counts'],
): RecipeLine {
  const stirred = stirredDensity(material);
  return {
    doseId,
    doseIndex,
    material,
    text,
    saidAs,
    amount: times === 1 ? amount : timesAmount(amount, times),
    densityGPerMl: stirred.value,
    exact,
    assumed: stirred.assumed ? ['density', ...assumed] : assumed,
    isEach,
    // The bottles of a blend are weighed one by one, and so is what a powder is wetted in.
    counted: blend === null && !wets ? counted : null,
    byEye: byEye?.most && times !== 1 ? { most: timesAmount(byEye.most, times) } : byEye,
    isOptional,
    blend,
    wets,
    counts,
    leaves: material.kind === 'dispersant' && material.leaves,
  };
}

function timesAmount({ shareOfBase, fixedG }: Amount, times: number): Amount {
  return { shareOfBase: shareOfBase * times, fixedG: fixedG * times };
}
