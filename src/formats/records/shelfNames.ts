import type { Material } from '../../core/materials/material';
import type { TextContext } from './fieldText';

/**
 * How records name each other as text: by name where it is the only one of its kind of name, else by id.
 *
 * @param more names of records that are only coming, in lower case, with their ids
 */
export function shelfNames(
  materials: readonly Pick<Material, 'id' | 'name'>[],
  more: ReadonlyMap<string, string> = new Map(),
): TextContext {
  const ids = new Map<string, string>();
  const doubled = new Set<string>();
  for (const { id, name } of materials) {
    const key = name.toLowerCase();
    if (ids.has(key)) doubled.add(key);
    ids.set(key, id);
  }
  const known = new Map(materials.map(({ id, name }) => [id, name]));
  return {
    decimal: 'either',
    idOf(text) {
      const key = text.trim().toLowerCase();
      return more.get(key) ?? ids.get(key) ?? (known.has(text.trim()) ? text.trim() : undefined);
    },
    nameOf(id) {
      const name = known.get(id);
      return name === undefined || doubled.has(name.toLowerCase()) ? id : name;
    },
  };
}
