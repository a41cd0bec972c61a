import { isDeepStrictEqual } from 'node:util';
import type { Material } from '../core/materials/material';
import type { Plan, PlanFile } from '../core/plan/plan';
import type { StoredPlan } from '../core/plan/storedPlan';
import type { RecordTable } from '../db/records';
import { createPlan } from './plans';
import type { Workshop } from './workshop';

/**
 * Takes a plan from a file, all of it or nothing. A mold or material that is here already, to the last figure,
 * is used as it is; one that differs comes in beside it, so that neither plan's weights change.
 */
export function importPlan(workshop: Workshop, file: PlanFile): StoredPlan {
  const take = workshop.db.transaction(() => {
    const moldId = bringIn(workshop, workshop.molds, file.mold);
    const ids = new Map<string, string>();
    for (const material of membersFirst(file.materials)) {
      const here =
        material.kind === 'blend'
          ? {
              ...material,
              members: material.members.map((member) => ({
                ...member,
                materialId: ids.get(member.materialId) ?? member.materialId,
              })),
            }
          : material;
      ids.set(material.id, bringIn(workshop, workshop.materials, here));
    }
    return createPlan(workshop, renamed(file.plan, moldId, ids));
  });
  return take();
}

/** Blends behind their members, so that what a member is called here is known before its blend comes in. */
function membersFirst(materials: readonly Material[]): Material[] {
  const byId = new Map(materials.map((material) => [material.id, material]));
  const depth = (material: Material | undefined): number =>
    material?.kind === 'blend'
      ? 1 + Math.max(...material.members.map(({ materialId }) => depth(byId.get(materialId))))
      : 0;
  return [...materials].sort((a, b) => depth(a) - depth(b));
}

/** The id under which the workshop now has this very record. */
function bringIn<Item extends { id: string; name: string }>(
  { now, newId }: Workshop,
  table: RecordTable<Item>,
  item: Item,
): string {
  const known = table.find(item.id);
  if (known && isDeepStrictEqual(known.item, item)) return item.id;
  const same = table.all().find((stored) => isDeepStrictEqual({ ...stored.item, id: item.id }, item));
  if (same) return same.item.id;
  const id = known ? newId() : item.id;
  table.insert({ ...item, id }, now());
  return id;
}

function renamed(plan: Plan, moldId: string, ids: ReadonlyMap<string, string>): Plan {
  const idFor = (id: string) => ids.get(id) ?? id;
  return {
    ...plan,
    moldId,
    pours: plan.pours.map((pour) => ({
      ...pour,
      baseId: idFor(pour.baseId),
      doses: pour.doses.map((dose) => ({
        ...dose,
        materialId: idFor(dose.materialId),
        ...(dose.wetIn ? { wetIn: { ...dose.wetIn, dispersantId: idFor(dose.wetIn.dispersantId) } } : {}),
      })),
    })),
  };
}
