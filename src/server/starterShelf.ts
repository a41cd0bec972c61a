import { foldedName } from '../core/materials/byName';
import { STARTER_MATERIALS } from '../words/en/starter/materials';
import { STARTER_MOLDS } from '../words/en/starter/molds';
import type { Workshop } from './openWorkshop';

/**
 * Puts usual materials and molds on the shelf, with figures that are usual and not the user's own. What is there by id or
 * by name stays as it is, so that it can be asked for twice.
 *
 * @returns how many records came in
 */
export function takeStarterShelf(workshop: Workshop): number {
  const take = workshop.db.transaction((): number => {
    const at = workshop.now();
    const materials = workshop.materials.all().map(({ item }) => item);
    const molds = workshop.molds.all().map(({ item }) => item);
    const isThere = (
      all: readonly { id: string; name: string }[],
      { id, name }: { id: string; name: string },
    ) => all.some((each) => each.id === id || foldedName(each.name) === foldedName(name));
    const newMaterials = STARTER_MATERIALS.filter((each) => !isThere(materials, each));
    const newMolds = STARTER_MOLDS.filter((each) => !isThere(molds, each));
    for (const material of newMaterials) workshop.materials.insert(material, at);
    for (const mold of newMolds) workshop.molds.insert(mold, at);
    return newMaterials.length + newMolds.length;
  });
  return take.immediate();
}
