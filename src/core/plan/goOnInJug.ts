import { isShare } from '../units/quantity';
import { counting, type Dose, type Plan, type Pour, sameQuantity } from './plan';

/**
 * The plan with a pour going on in the jug of the one before. What it said just as the pours of that jug do is in the jug
 * already, so it is left out; what else it says is added before it.
 */
export function goOnInJug(plan: Plan, pourIndex: number): Plan {
  const before = jugBefore(plan, pourIndex);
  return {
    ...plan,
    pours: plan.pours.map((pour, index): Pour => {
      if (index !== pourIndex)
        return before.includes(pour)
          ? { ...pour, doses: pour.doses.map((each) => counting(each, 'added')) }
          : pour;
      const doses = pour.doses
        .filter((dose) => !before.some((other) => hasAlready(other, dose)))
        .map((each) => counting(each, 'added'));
      return { ...pour, doses, way: { ...pour.way, sameJug: true } };
    }),
  };
}

/** The pours that were poured from the jug by then. */
function jugBefore({ pours }: Plan, pourIndex: number): Pour[] {
  const found: Pour[] = [];
  for (let index = pourIndex - 1; index >= 0; index--) {
    const pour = pours[index];
    if (!pour) break;
    found.push(pour);
    if (!pour.way?.sameJug) break;
  }
  return found;
}

/** A share of the base is as strong already in a jug that goes on. */
function hasAlready({ doses }: Pour, { materialId, means }: Dose): boolean {
  return doses.some(
    (each) =>
      each.materialId === materialId && means !== null && isShare(means) && sameQuantity(each.means, means),
  );
}
