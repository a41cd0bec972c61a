import { type DraftPlan, withIds } from '../plan/ids';
import type { Packed } from '../plan/packed';
import { dose, type Plan, type PlanFile, retyped } from '../plan/plan';
import { scalePlan } from '../plan/scalePlan';
import { withFreezer, withWhen } from '../plan/setMaking';
import { withBatch } from '../plan/withBatch';
import type { PlanEdit } from './planEdit';

/** The plan with a finding's fix applied. Edits name doses by their place in the plan as it was checked. */
export function applyFix(
  { plan, mold, secondMold }: Pick<PlanFile, 'plan' | 'mold' | 'secondMold'>,
  edits: readonly PlanEdit[],
): Plan {
  const changed: DraftPlan = {
    ...plan,
    pours: plan.pours.map((pour, pourIndex) => ({
      ...pour,
      doses: [
        ...pour.doses.flatMap((each, doseIndex) => {
          const edit = edits.find(
            (one) => 'doseIndex' in one && one.pourIndex === pourIndex && one.doseIndex === doseIndex,
          );
          if (edit?.kind === 'remove-dose') return [];
          if (edit?.kind === 'set-wetting') return [{ ...each, wetIn: edit.wetIn }];
          return [edit?.kind === 'set-dose' ? retyped(each, edit.text) : each];
        }),
        ...edits.flatMap((edit) =>
          edit.kind === 'add-dose' && edit.pourIndex === pourIndex
            ? [
                {
                  ...dose(edit.materialId, edit.text, edit.wetIn),
                  ...(edit.counts ? { counts: edit.counts } : {}),
                },
              ]
            : [],
        ),
      ],
    })),
  };
  const edited = edits.reduce(withSetting, withIds(changed));
  const pieces = edits.find((edit) => edit.kind === 'set-pieces')?.pieces;
  return pieces === undefined ? edited : scalePlan(edited, pieces, { mold, secondMold });
}

/** The plan with an edit that is about no dose. */
function withSetting(plan: Plan, edit: PlanEdit): Plan {
  switch (edit.kind) {
    case 'set-when':
      return withWhen(plan, edit.pourIndex, edit);
    case 'fresh-base':
      return {
        ...plan,
        pours: plan.pours.map(({ remelt, ...pour }, index) =>
          index === edit.pourIndex || !remelt ? pour : { ...pour, remelt },
        ),
      };
    case 'set-freezer':
      return withFreezer(plan, edit.freezerMin);
    case 'set-base':
      return {
        ...plan,
        pours: plan.pours.map((pour, index) =>
          index === edit.pourIndex ? { ...pour, baseId: edit.baseId } : pour,
        ),
      };
    case 'set-jug-loss':
      return { ...plan, jugLossFraction: edit.jugLossFraction };
    case 'add-packaging':
      return { ...plan, packaging: withPacked(plan.packaging ?? [], edit.packed) };
    case 'set-least-melt':
      return { ...plan, leastMeltG: edit.leastMeltG };
    case 'set-batch':
      return withBatch(plan, plan.batch && edit.gives ? { ...plan.batch, gives: edit.gives } : null);
    default:
      return plan;
  }
}

function withPacked(packaging: readonly Packed[], packed: Omit<Packed, 'id'>): Packed[] {
  let count = packaging.length + 1;
  while (packaging.some(({ id }) => id === `pack${count}`)) count++;
  return [...packaging, { ...packed, id: `pack${count}` }];
}
