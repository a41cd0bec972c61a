import type { Material } from '../core/materials/material';
import { withMembers } from '../core/plan/plan';
import type { Workshop } from './openWorkshop';
import { invalidField, notFound, Problem } from './problem';

/** Ids of all materials that a plan, a lot, a blend, a product or a purchase names. */
export function materialsInUse({ materials, plans, lots, products, purchases }: Workshop): Set<string> {
  const byId = new Map(materials.all().map(({ item }) => [item.id, item]));
  const used = new Set(withMembers(plans.materialsNamed(), byId).keys());
  for (const { item: lot } of lots.ofShelf()) used.add(lot.item.id);
  for (const item of byId.values())
    if (item.kind === 'blend') for (const { materialId } of item.members) used.add(materialId);
  for (const { item } of products.all()) for (const { materialId } of item.packaging) used.add(materialId);
  for (const { item } of purchases.all()) for (const { materialId } of item.lines) used.add(materialId);
  return used;
}

/**
 * A plan that names a fragrance could not be made with a base of the same id.
 *
 * @throws Problem 422 when the kind changes of what a plan, a blend or a lot names
 */
export function allowMaterial(workshop: Workshop, before: Material, after: Material): void {
  if (before.kind === after.kind || !materialsInUse(workshop).has(before.id)) return;
  throw invalidField(
    'item.kind',
    `can’t be changed: a plan, a blend, a lot, a product or a purchase uses it as a ${before.kind}. Put a new material there instead`,
  );
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
        `${stored.item.name} is used by a plan, a blend, a lot, a product or a purchase, so it stays on record. Archive it instead.`,
      );
    }
    workshop.materials.remove(id);
  });
  remove.immediate();
}
