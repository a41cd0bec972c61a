import { usualLeast, usualMost } from '../materials/defaults';
import { type DoseableMaterial, type DosedMaterial, isDoseable, type Material } from '../materials/material';
import { type CountedOut, countUnitOf } from '../units/counting';
import { amountOf, type Counted, isShare, type Quantity, type SingleQuantity } from '../units/quantity';
import {
  type Measured,
  measureDose,
  type SharedOut,
  weigh,
  weighedAs,
  withBlendDensity,
} from './measureDose';
import { meaningOf, type Pour } from './plan';
import type { Amount, RecipeDose, SaidAs, UnreadDose } from './recipeDose';
import { relatedDoses } from './relations';

interface Joined {
  doseId: string;
  doseIndex: number;
  material: DoseableMaterial;
  text: string;
  means: Quantity | null;
  isLaid: boolean;
  isOptional: boolean;
}

/** How it is dosed at the bench. */
type DosedHow = Pick<RecipeDose, 'isEach' | 'counted' | 'byEye'>;

/** Doses said by themselves first, then those said in relation, each once what it relates to is known. */
export function joinDoses(
  pour: Pour,
  shared: SharedOut,
  materials: ReadonlyMap<string, Material>,
): { doses: RecipeDose[]; unreadable: UnreadDose[] } {
  const joined = pour.doses.map((each, doseIndex): Joined => {
    const { id: doseId, materialId, text } = each;
    const material = materials.get(materialId);
    if (material === undefined || !isDoseable(material)) {
      throw new RangeError(`no material “${materialId}” that can be dosed in the plan file`);
    }
    return {
      doseId,
      doseIndex,
      material,
      text,
      means: meaningOf(each),
      isLaid: each.laid !== undefined,
      isOptional: each.optional === true,
    };
  });
  const known: (RecipeDose | undefined)[] = joined.map(() => undefined);
  const unreadable: UnreadDose[] = [];
  const settle = (
    { doseId, doseIndex, material, text, isLaid, isOptional }: Joined,
    saidAs: SaidAs,
    { amount, exact, assumed }: Measured,
    { isEach, counted, byEye }: DosedHow,
  ) => {
    if (isLaid && amount.shareOfBase > 0) {
      // It lies beside the base, whatever that weighs.
      unreadable.push({ doseIndex, material, text, why: 'laid-share' });
      return;
    }
    // Spelled out: a key in the dose grid waits for it.
    known[doseIndex] = {
      doseId,
      doseIndex,
      material,
      text,
      saidAs,
      amount,
      exact,
      assumed,
      isEach,
      counted,
      byEye,
      isOptional,
    };
  };

  for (const dose of joined) {
    const { doseIndex, material, text, isLaid } = dose;
    const weighed = weighedAs(material, materials);
    // Nothing of what is laid stays in a jug.
    const own = isLaid ? { ...shared, jugLossFraction: 0 } : shared;
    const means = beginsWith(dose.means, weighed);
    if (dose.means === null) unreadable.push({ doseIndex, material, text, why: 'text' });
    else if (means === null) unreadable.push({ doseIndex, material, text, why: 'no-usual-least' });
    else if (means.kind === 'perPiece' && shared.pieces === null)
      unreadable.push({ doseIndex, material, text, why: 'no-pieces' });
    else if (means.kind !== 'times')
      settle(
        dose,
        isShare(means) ? 'share' : 'fixed',
        withBlendDensity(measureDose(means, weighed, own), material, materials),
        dosedHow(dose, means, weighed, own),
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
      const sources = doses as RecipeDose[];
      settle(dose, 'relation', timesSum(factor, sources), {
        isEach: sources.every(({ isEach }) => isEach),
        counted: null,
        byEye: null,
      });
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
  const isEach = begins.kind === 'perPiece';
  const counted = unit && { unit, gPerOne: weigh(amountOf(AMOUNT_OF[unit], 1), material).massG };
  if (means?.kind === 'range' && means.most.kind !== 'times')
    return { isEach, counted, byEye: { most: measureDose(means.most, material, shared).amount } };
  if (means?.kind !== 'toTaste') return { isEach, counted, byEye: null };
  const most = usualMost(material);
  return { isEach, counted, byEye: { most: most ? { shareOfBase: most.value, fixedG: 0 } : null } };
}

const AMOUNT_OF: Record<CountedOut['unit'], Counted['kind']> = {
  drops: 'drops',
  blocks: 'blocks',
  scoops: 'scoops',
  capsules: 'capsules',
  spoons: 'volume',
  millilitres: 'volume',
};

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
