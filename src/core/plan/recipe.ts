import type { Base } from '../materials/base';
import { blendAsFragrance, blendShares } from '../materials/blend';
import { blendDensity } from '../materials/blendDensity';
import { materialsById } from '../materials/byId';
import {
  baseDensity,
  blockMass,
  capsuleMass,
  dropMass,
  type Figure,
  scoopMass,
  spoonDensity,
  stirredDensity,
  usualLeast,
  usualMost,
} from '../materials/defaults';
import { type DoseableMaterial, type DosedMaterial, isDoseable, type Material } from '../materials/material';
import { barsPerCavity } from '../molds/bars';
import { type CountedOut, countUnitOf } from '../units/counting';
import { amountOf, type Counted, isShare, type Quantity, type SingleQuantity } from '../units/quantity';
import type { PlacedEmbed } from './displaced';
import { embedPiece } from './embed';
import type { Laid } from './laid';
import { type Dose, meaningOf, type PlanFile, type Pour } from './plan';
import type { PourWay } from './pourWay';
import { type RelationFault, relatedDoses } from './relations';

/** Which stand-in figures a weight rests on until the user measures them. */
export const ASSUMPTIONS = [
  'density',
  'spoon-density',
  'drop-size',
  'block-mass',
  'scoop-size',
  'capsule-mass',
] as const;
export type Assumption = (typeof ASSUMPTIONS)[number];

/** A weight as a straight line in the base weight B: shareOfBase · B + fixedG. */
export interface Amount {
  shareOfBase: number;
  fixedG: number;
}

/** How a dose was said: in proportion to the base, as an amount, or in relation to other doses. */
export const SAID_AS = ['share', 'fixed', 'relation'] as const;
export type SaidAs = (typeof SAID_AS)[number];

/** A dose as it was said and what it comes to, before a blend is taken apart. */
export interface RecipeDose {
  doseId: string;
  doseIndex: number;
  material: DoseableMaterial;
  text: string;
  saidAs: SaidAs;
  amount: Amount;
  /** A weight or a share of weight is exact; a spoon, a volume, a block or a drop is not. */
  exact: boolean;
  assumed: Assumption[];
  /** How it is counted out, where it was said so. */
  counted: CountedOut | null;
  /** It begins with the amount and goes by eye, up to `most`; null inside where nobody knows the most. */
  byEye: { most: Amount | null } | null;
}

/**
 * One thing to weigh. A dose of a blend is a line for each of its fragrances; a dose that is wetted has a line for
 * its dispersant too.
 */
export interface RecipeLine extends Omit<RecipeDose, 'material'> {
  material: DosedMaterial;
  /** g/mL in the jug. */
  densityGPerMl: number;
  /** Name of the blend it is a part of. */
  blend: string | null;
  /** It is what the dose is wetted in. */
  wets: boolean;
  /** It leaves the hot base again, and is in no weight. */
  leaves: boolean;
  /** What its pour holds, or what is added to a jug that later pours go on in. */
  counts: 'content' | 'added';
}

/** A dose that is in nothing that is computed, and why. */
export interface UnreadDose {
  doseIndex: number;
  material: DoseableMaterial;
  text: string;
  why: 'text' | 'no-usual-least' | 'laid-share' | RelationFault;
}

/** What is laid and not stirred in: in no jug, and all of it in the molds. */
export interface LaidLine extends RecipeLine {
  laid: Laid;
}

/** A dose that came into the jug with an earlier pour and is still in it. */
export interface CarriedLine extends RecipeLine {
  fromPourIndex: number;
}

export interface RecipePour {
  base: Base;
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
 * @param fills cavities that are filled, for what is said by the piece
 */
export function recipeOf(file: PlanFile, fills: number): RecipePour[] {
  const shared: SharedOut = {
    pieces: fills * barsPerCavity(file.mold),
    jugLossFraction: file.plan.jugLossFraction,
  };
  const materials = materialsById(file.materials);
  return file.plan.pours.map((pour) => {
    const base = materials.get(pour.baseId);
    if (base?.kind !== 'base') throw new RangeError(`no base “${pour.baseId}” in the plan file`);
    const density = baseDensity(base);
    const { doses, unreadable } = joinDoses(pour, shared, materials);
    return {
      base,
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
  { doseId, doseIndex, text, saidAs, amount, exact, assumed, counted, byEye }: RecipeDose,
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
    // The bottles of a blend are weighed one by one, and so is what a powder is wetted in.
    counted: blend === null && !wets ? counted : null,
    byEye: byEye?.most && times !== 1 ? { most: timesAmount(byEye.most, times) } : byEye,
    blend,
    wets,
    counts,
    leaves: material.kind === 'dispersant' && material.leaves,
  };
}

function timesAmount({ shareOfBase, fixedG }: Amount, times: number): Amount {
  return { shareOfBase: shareOfBase * times, fixedG: fixedG * times };
}

/** What an amount for each piece is for. */
interface SharedOut {
  pieces: number;
  jugLossFraction: number;
}

interface Joined {
  doseId: string;
  doseIndex: number;
  material: DoseableMaterial;
  text: string;
  means: Quantity | null;
  isLaid: boolean;
}

/** What a dose comes to by itself. */
type Measured = Pick<RecipeDose, 'amount' | 'exact' | 'assumed'>;
/** How it is dosed at the bench. */
type DosedHow = Pick<RecipeDose, 'counted' | 'byEye'>;

/** Doses said by themselves first, then those said in relation, each once what it relates to is known. */
function joinDoses(pour: Pour, shared: SharedOut, materials: Materials) {
  const joined = pour.doses.map((each, doseIndex): Joined => {
    const { id: doseId, materialId, text } = each;
    const material = materials.get(materialId);
    if (material === undefined || !isDoseable(material)) {
      throw new RangeError(`no material “${materialId}” that can be dosed in the plan file`);
    }
    return { doseId, doseIndex, material, text, means: meaningOf(each), isLaid: each.laid !== undefined };
  });
  const known: (RecipeDose | undefined)[] = joined.map(() => undefined);
  const unreadable: UnreadDose[] = [];
  const settle = (
    { doseId, doseIndex, material, text, isLaid }: Joined,
    saidAs: SaidAs,
    { amount, exact, assumed }: Measured,
    { counted, byEye }: DosedHow = { counted: null, byEye: null },
  ) => {
    if (isLaid && amount.shareOfBase > 0) {
      // It lies beside the base, whatever that weighs.
      unreadable.push({ doseIndex, material, text, why: 'laid-share' });
      return;
    }
    known[doseIndex] = { doseId, doseIndex, material, text, saidAs, amount, exact, assumed, counted, byEye };
  };

  for (const dose of joined) {
    const { doseIndex, material, text, isLaid } = dose;
    const weighed = weighedAs(material, materials);
    const means = beginsWith(dose.means, weighed);
    if (dose.means === null) unreadable.push({ doseIndex, material, text, why: 'text' });
    else if (means === null) unreadable.push({ doseIndex, material, text, why: 'no-usual-least' });
    else if (means.kind !== 'times')
      settle(
        dose,
        isShare(means) ? 'share' : 'fixed',
        withBlendDensity(
          measure(means, weighed, isLaid ? { ...shared, jugLossFraction: 0 } : shared),
          material,
          materials,
        ),
        dosedHow(dose, means, weighed, shared),
      );
  }
  const open = new Set(joined.filter(({ means }) => means?.kind === 'times'));
  for (let turns = open.size; turns > 0; turns--) {
    for (const dose of open) {
      if (dose.means?.kind !== 'times') continue;
      const { factor, of } = dose.means;
      const related = relatedDoses(of, dose.doseIndex, joined);
      if (!related.success) {
        open.delete(dose);
        unreadable.push({
          doseIndex: dose.doseIndex,
          material: dose.material,
          text: dose.text,
          why: related.error,
        });
        continue;
      }
      const doses = related.data.map((index) => known[index]);
      if (doses.some((each) => each === undefined)) continue;
      open.delete(dose);
      settle(dose, 'relation', timesSum(factor, doses as RecipeDose[]));
    }
  }
  for (const { doseIndex, material, text } of open) {
    unreadable.push({ doseIndex, material, text, why: 'relation-without-end' });
  }
  return {
    doses: known.filter((each) => each !== undefined),
    unreadable: unreadable.sort((a, b) => a.doseIndex - b.doseIndex),
  };
}

/** The figure a dose begins with: the least of a range, or the least that is usual where it goes by eye. */
function beginsWith(means: Quantity | null, material: DosedMaterial): SingleQuantity | null {
  if (means === null) return null;
  if (means.kind === 'range') return means.least;
  if (means.kind !== 'toTaste') return means;
  const least = usualLeast(material);
  return least ? { kind: 'ofBase', fractionOfBase: least.value, approximate: true } : null;
}

function dosedHow(
  { means, text }: Joined,
  begins: SingleQuantity,
  material: DosedMaterial,
  shared: SharedOut,
): DosedHow {
  const unit = countUnitOf(begins, text);
  const counted = unit && { unit, gPerOne: weigh(amountOf(AMOUNT_OF[unit], 1), material).massG };
  if (means?.kind === 'range' && means.most.kind !== 'times')
    return { counted, byEye: { most: measure(means.most, material, shared).amount } };
  if (means?.kind !== 'toTaste') return { counted, byEye: null };
  const most = usualMost(material);
  return { counted, byEye: { most: most ? { shareOfBase: most.value, fixedG: 0 } : null } };
}

const AMOUNT_OF: Record<CountedOut['unit'], Counted['kind']> = {
  drops: 'drops',
  blocks: 'blocks',
  scoops: 'scoops',
  capsules: 'capsules',
  spoons: 'volume',
  millilitres: 'volume',
};

/** A spoon or a drop of a blend rests on a usual density where that of one of its members is not known. */
function withBlendDensity(measured: Measured, material: DoseableMaterial, materials: Materials): Measured {
  if (material.kind !== 'blend' || measured.exact || measured.assumed.includes('spoon-density'))
    return measured;
  return blendDensity(blendShares(material, materials)).assumed
    ? { ...measured, assumed: [...measured.assumed, 'spoon-density'] }
    : measured;
}

/** A blend's own bottle is measured out like a fragrance. */
export function weighedAs(material: DoseableMaterial, materials: Materials): DosedMaterial {
  if (material.kind !== 'blend') return material;
  return {
    ...blendAsFragrance(material, materials),
    densityGPerMl: blendDensity(blendShares(material, materials)).value,
  };
}

function timesSum(factor: number, doses: RecipeDose[]): Measured {
  const sum = (figure: (amount: Amount) => number) =>
    doses.reduce((total, { amount }) => total + figure(amount), 0);
  return {
    amount: {
      shareOfBase: factor * sum(({ shareOfBase }) => shareOfBase),
      fixedG: factor * sum(({ fixedG }) => fixedG),
    },
    exact: doses.every(({ exact }) => exact),
    assumed: [...new Set(doses.flatMap(({ assumed }) => assumed))],
  };
}

function measure(
  means: Exclude<SingleQuantity, { kind: 'times' }>,
  material: DosedMaterial,
  { pieces, jugLossFraction }: SharedOut,
): Measured {
  switch (means.kind) {
    case 'ofBase':
      return {
        amount: { shareOfBase: means.fractionOfBase, fixedG: 0 },
        exact: !means.approximate,
        assumed: [],
      };
    case 'volumePerBase':
      return asShare(weigh({ kind: 'volume', volumeMl: means.mlPerBaseG }, material));
    case 'dropsPerBase':
      return asShare(weigh({ kind: 'drops', drops: means.dropsPerBaseG }, material));
    case 'blocksPerBase':
      return asShare(weigh({ kind: 'blocks', blocks: means.blocksPerBaseG }, material));
    case 'perBase':
      return asShare(weigh(means.amount, material));
    case 'perPiece': {
      // Each piece gets its amount, so what stays in the jug has it too.
      const { massG, ...rest } = weigh(means.amount, material);
      const fixedG = (massG * pieces) / (1 - jugLossFraction);
      return { amount: { shareOfBase: 0, fixedG }, ...rest };
    }
    default: {
      const { massG, ...rest } = weigh(means, material);
      return { amount: { shareOfBase: 0, fixedG: massG }, ...rest };
    }
  }
}

interface Weighed {
  massG: number;
  exact: boolean;
  assumed: Assumption[];
}

function asShare({ massG, ...rest }: Weighed): Measured {
  return { amount: { shareOfBase: massG, fixedG: 0 }, ...rest };
}

/** An amount in grams, and what that rests on. */
export function weigh(amount: Counted, material: DosedMaterial): Weighed {
  switch (amount.kind) {
    case 'mass':
      return { massG: amount.massG, exact: !amount.approximate, assumed: [] };
    case 'volume':
      return counted(amount.volumeMl, spoonDensity(material), 'spoon-density');
    case 'drops':
      return counted(amount.drops, dropMass(material), 'drop-size');
    case 'blocks':
      return counted(amount.blocks, blockMass(material), 'block-mass');
    case 'scoops':
      return counted(amount.scoops, scoopMass(material), 'scoop-size');
    case 'capsules':
      return counted(amount.capsules, capsuleMass(material), 'capsule-mass');
  }
}

function counted(count: number, each: Figure, assumption: Assumption): Weighed {
  return { massG: count * each.value, exact: false, assumed: each.assumed ? [assumption] : [] };
}
