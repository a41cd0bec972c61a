import { isDeepStrictEqual } from 'node:util';
import type { Material } from '../core/materials/material';
import { hasMold, NO_MOLD_ID } from '../core/molds/noMold';
import type { EmbedSource, MadePiece } from '../core/plan/embed';
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
    const moldId = hasMold(file) ? bringIn(workshop, workshop.molds, file.mold) : NO_MOLD_ID;
    const secondMoldId = file.secondMold && bringIn(workshop, workshop.molds, file.secondMold);
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
    const molds = { moldId, ...(secondMoldId === undefined ? {} : { secondMoldId }) };
    return createPlan(workshop, renamed(file.plan, molds, ids, piecesFor(workshop, file.made ?? [])));
  });
  return take.immediate();
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

/**
 * What stands in for a plan that the workshop does not have: its piece, as one that was bought. A plan that is here
 * under the same id and name is the same.
 */
function piecesFor(workshop: Workshop, made: readonly MadePiece[]): ReadonlyMap<string, string> {
  const standIns = new Map<string, string>();
  for (const { planId, name, pieceG, pieceMl, heightMm } of made) {
    const [here] = workshop.plans.versions(planId);
    if (here?.plan.name === name) continue;
    const piece: Material = {
      kind: 'piece',
      id: planId,
      name,
      note: '',
      inci: null,
      origins: null,
      lowStock: null,
      archived: false,
      pieceG,
      pieceMl,
      heightMm,
    };
    standIns.set(planId, bringIn(workshop, workshop.materials, piece));
  }
  return standIns;
}

function renamed(
  plan: Plan,
  molds: Pick<Plan, 'moldId' | 'secondMoldId'>,
  ids: ReadonlyMap<string, string>,
  standIns: ReadonlyMap<string, string>,
): Plan {
  const idFor = (id: string) => ids.get(id) ?? id;
  const sourceFor = (from: EmbedSource): EmbedSource => {
    if (from.is === 'shelf') return { is: 'shelf', materialId: idFor(from.materialId) };
    const standIn = standIns.get(from.planId);
    return standIn === undefined ? from : { is: 'shelf', materialId: standIn };
  };
  return {
    ...plan,
    ...molds,
    pours: plan.pours.map((pour) => ({
      ...pour,
      baseId: idFor(pour.baseId),
      ...(pour.embeds
        ? { embeds: pour.embeds.map((embed) => ({ ...embed, from: sourceFor(embed.from) })) }
        : {}),
      doses: pour.doses.map((dose) => ({
        ...dose,
        materialId: idFor(dose.materialId),
        ...(dose.wetIn ? { wetIn: { ...dose.wetIn, dispersantId: idFor(dose.wetIn.dispersantId) } } : {}),
      })),
    })),
  };
}
