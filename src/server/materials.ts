import { namedMaterials } from '../core/plan/plan';
import { notFound, Problem } from './problem';
import type { Workshop } from './workshop';

/** Ids of all materials that a plan, a lot or a blend names. */
export function materialsInUse({ materials, plans, lots }: Workshop): Set<string> {
  const byId = new Map(materials.all().map(({ item }) => [item.id, item]));
  const used = new Set<string>();
  for (const plan of plans.everyVersion()) for (const id of namedMaterials(plan, byId).keys()) used.add(id);
  for (const { item: lot } of lots.all()) if (lot.item.kind === 'material') used.add(lot.item.id);
  for (const item of byId.values())
    if (item.kind === 'blend') for (const { materialId } of item.members) used.add(materialId);
  return used;
}

/**
 * Takes a material off the shelf for good.
 *
 * @throws Problem 404, or 409 when something names it: then it can only be archived
 */
export function deleteMaterial(workshop: Workshop, id: string): void {
  const remove = workshop.db.transaction(() => {
    const stored = workshop.materials.find(id);
    if (!stored) throw notFound('material', id);
    if (materialsInUse(workshop).has(id)) {
      throw new Problem(
        409,
        'in-use',
        `${stored.item.name} is used by a plan, a blend or a lot, so it stays on record. Archive it instead.`,
      );
    }
    workshop.materials.remove(id);
  });
  remove.immediate();
}
