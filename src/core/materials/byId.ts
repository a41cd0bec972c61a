import type { Material } from './material';

const KNOWN = new WeakMap<readonly Material[], Map<string, Material>>();

/** Materials by their id. A shelf is the same list from one key to the next, so its map is kept with it. */
export function materialsById(materials: readonly Material[]): ReadonlyMap<string, Material> {
  const known = KNOWN.get(materials);
  if (known?.size === materials.length) return known;
  const byId = new Map(materials.map((material) => [material.id, material]));
  KNOWN.set(materials, byId);
  return byId;
}
