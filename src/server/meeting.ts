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

/** What the records of a plan file meet. */
export function meetingsOf(workshop: Workshop, file: PlanFile): Met[] {
  const molds = [...(hasMold(file) ? [file.mold] : []), ...(file.secondMold ? [file.secondMold] : [])];
  return [
    ...molds.map((mold) => meetingOf(workshop, 'mold', mold)),
    ...file.materials.map((material) => meetingOf(workshop, 'material', material)),
  ];
}

export function meetingOf(workshop: Workshop, kind: MetKind, item: Mold | Material): Met {
  const all: (Mold | Material)[] = workshop[`${kind}s`].all().map((stored) => stored.item);
  const { id, name } = item;
  const known = all.find((each) => each.id === id);
  const isSame = (each: Mold | Material) => isDeepStrictEqual({ ...each, id }, item);
  const same = known && isSame(known) ? known : all.find(isSame);
  if (same) return { kind, id, name, verdict: 'same', here: { id: same.id, name: same.name }, changes: [] };
  const called = foldedName(name);
  const kindOf = (each: Mold | Material) => ('kind' in each ? each.kind : 'mold');
  const other =
    known ?? all.find((each) => foldedName(each.name) === called && kindOf(each) === kindOf(item));
  if (!other) return { kind, id, name, verdict: 'new', here: null, changes: [] };
  const context = shelfNames(workshop.materials.all().map((stored) => stored.item));
  return {
    kind,
    id,
    name,
    verdict: 'other',
    here: { id: other.id, name: other.name },
    changes: changedFields(kind, other, item, context),
  };
}
