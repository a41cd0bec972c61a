import type { Product } from '../core/product/product';
import type { Workshop } from './openWorkshop';
import { invalidField, notFound, Problem } from './problem';

/** @throws Problem 422 where a product is of a plan that is not there, or packed in what is not on the shelf */
export function checkProducts({ products, plans, materials }: Workshop): void {
  for (const { item } of products.all()) {
    item.parts.forEach(({ planId }, place) => {
      if (!plans.newest(planId))
        throw invalidField(`parts.${place}.planId`, `of “${item.name}” names a plan that is not there`);
    });
    item.packaging.forEach(({ materialId }, place) => {
      if (!materials.asKept(materialId))
        throw invalidField(
          `packaging.${place}.materialId`,
          `of “${item.name}” names what is not on the shelf`,
        );
    });
  }
}

/** Products that pieces of a plan are sold as. */
export function productsOfPlan({ products }: Workshop, planId: string): Product[] {
  return products
    .all()
    .filter(({ item }) => item.parts.some((part) => part.planId === planId))
    .map(({ item }) => item);
}

/** @throws Problem 404, or 409 where some of it was packed */
export function deleteProduct({ products, lots }: Workshop, id: string): void {
  if (lots.of({ kind: 'product', id }).length > 0)
    throw new Problem(409, 'was-packed', 'Some of it was packed already, so it can’t be deleted.');
  if (!products.remove(id)) throw notFound('product', id);
}
