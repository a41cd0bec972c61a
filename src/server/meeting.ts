import { isDeepStrictEqual } from 'node:util';
import { foldedName } from '../core/materials/byName';
import type { Material } from '../core/materials/material';
import type { Mold } from '../core/molds/mold';
import { hasMold } from '../core/molds/noMold';
import type { PlanFile } from '../core/plan/plan';
import type { Met, MetKind } from '../formats/meeting';
import { changedFields } from '../formats/records/changedFields';
import { shelfNames } from '../formats/records/shelfNames';
import type { Workshop } from './openWorkshop';

type Item = Mold | Material;

/** The molds and materials of a workshop, read once for a whole file: a shelf of thousands is not read for each of its records. */
export interface RecordsHere {
  /** What a record of a file meets. */
  meet(kind: MetKind, item: Item): Met;
  /** Tells of one that was taken in, or saved over, since they were read. */
  took(kind: MetKind, item: Item): void;
}

/** What the records of a plan file meet. */
export function meetingsOf(here: RecordsHere, file: PlanFile): Met[] {
  const molds = [...(hasMold(file) ? [file.mold] : []), ...(file.secondMold ? [file.secondMold] : [])];
  return [
    ...molds.map((mold) => here.meet('mold', mold)),
    ...file.materials.map((material) => here.meet('material', material)),
  ];
}

export function recordsHere(workshop: Workshop): RecordsHere {
  const lists: Partial<Record<MetKind, NamedItems>> = {};
  const listOf = (kind: MetKind) => {
    lists[kind] ??= namedItems(workshop[`${kind}s`].all().map((stored) => stored.item));
    return lists[kind];
  };
  return {
    meet(kind, item) {
      const { id, name } = item;
      const { byId, calledLike } = listOf(kind);
      const known = byId.get(id);
      const called = calledLike(name);
      const isSame = (each: Item) => isDeepStrictEqual({ ...each, id }, item);
      const same = known && isSame(known) ? known : called.find(isSame);
      if (same)
        return { kind, id, name, verdict: 'same', here: { id: same.id, name: same.name }, changes: [] };
      const other = known ?? called.find((each) => kindOf(each) === kindOf(item));
      if (!other) return { kind, id, name, verdict: 'new', here: null, changes: [] };
      return {
        kind,
        id,
        name,
        verdict: 'other',
        here: { id: other.id, name: other.name },
        changes: changedFields(kind, other, item, shelfNames([...listOf('material').byId.values()])),
      };
    },
    took: (kind, item) => listOf(kind).put(item),
  };
}

function kindOf(item: Item): string {
  return 'kind' in item ? item.kind : 'mold';
}

interface NamedItems {
  byId: ReadonlyMap<string, Item>;
  /** Those whose name is the same without capitals, accents and doubled spaces. */
  calledLike(name: string): Item[];
  put(item: Item): void;
}

function namedItems(items: readonly Item[]): NamedItems {
  const byId = new Map<string, Item>();
  const byName = new Map<string, Map<string, Item>>();
  const put = (item: Item) => {
    const before = byId.get(item.id);
    if (before) byName.get(foldedName(before.name))?.delete(item.id);
    byId.set(item.id, item);
    const name = foldedName(item.name);
    byName.set(name, (byName.get(name) ?? new Map()).set(item.id, item));
  };
  for (const item of items) put(item);
  return { byId, calledLike: (name) => [...(byName.get(foldedName(name))?.values() ?? [])], put };
}
