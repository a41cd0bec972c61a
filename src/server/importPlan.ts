import type { Material } from '../core/materials/material';
import { NOTHING_KNOWN } from '../core/materials/unknownMaterial';
import type { Mold } from '../core/molds/mold';
import { hasMold, NO_MOLD_ID } from '../core/molds/noMold';
import type { EmbedSource, MadePiece } from '../core/plan/embed';
import type { Plan, PlanFile } from '../core/plan/plan';
import type { StoredPlan } from '../core/plan/storedPlan';
import type { Choices, MetKind } from '../formats/meeting';
import { meetingOf } from './meeting';
import type { Workshop } from './openWorkshop';
import { createPlan, savePlan } from './plans';
import { checked, RECORD_KINDS, type RecordKind } from './recordKinds';
import { saveRecord } from './records';

/**
 * Takes a plan from a file, all of it or nothing. A mold or material that is here already, to the last figure,
 * is used as it is; one that differs comes in beside it, so that neither plan's weights change, or as was chosen.
 *
 * @param onto the plan here that becomes the one of the file; left out, it is one more
 * @throws Problem 422 when a record here may not become what the file has
 */
export function importPlan(
  workshop: Workshop,
  file: PlanFile,
  choices: Choices = {},
  onto?: Pick<StoredPlan, 'id' | 'revision'>,
): StoredPlan {
  const take = workshop.db.transaction(() => {
    const moldId = hasMold(file) ? bringIn(workshop, 'mold', file.mold, choices) : NO_MOLD_ID;
    const secondMoldId = file.secondMold && bringIn(workshop, 'mold', file.secondMold, choices);
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
      ids.set(material.id, bringIn(workshop, 'material', here, choices));
    }
    const molds = { moldId, ...(secondMoldId === undefined ? {} : { secondMoldId }) };
    const plan = renamed(file.plan, molds, ids, piecesFor(workshop, file.made ?? []));
    return onto ? savePlan(workshop, onto.id, plan, onto.revision) : createPlan(workshop, plan);
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

/** The id under which the workshop now has this record, or the one here that was chosen instead of it. */
function bringIn(workshop: Workshop, kind: MetKind, item: Mold | Material, choices: Choices): string {
  return kind === 'mold'
    ? taken(workshop, kind, RECORD_KINDS.mold, item as Mold, choices)
    : taken(workshop, kind, RECORD_KINDS.material, item as Material, choices);
}

function taken<Item extends Mold | Material>(
  workshop: Workshop,
  kind: MetKind,
  records: RecordKind<Item>,
  item: Item,
  choices: Choices,
): string {
  const { now, newId } = workshop;
  const table = records.table(workshop);
  const met = meetingOf(workshop, kind, item);
  if (met.verdict === 'same' && met.here) return met.here.id;
  const choice = Object.hasOwn(choices, item.id) ? choices[item.id] : 'both';
  if (met.verdict === 'other' && met.here && choice === 'here') return met.here.id;
  if (met.verdict === 'other' && met.here && choice === 'file') {
    const { id } = met.here;
    const before = table.find(id);
    const save = () =>
      saveRecord(table, records.what, { ...item, id }, before?.revision ?? 0, now(), (was, is) =>
        records.allow?.(workshop, was, is),
      );
    checked(workshop, records.check, save);
    return id;
  }
  const id = table.asKept(item.id) ? newId() : item.id;
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
      ...NOTHING_KNOWN,
      kind: 'piece',
      id: planId,
      name,
      pieceG,
      pieceMl,
      heightMm,
    };
    standIns.set(planId, bringIn(workshop, 'material', piece, {}));
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
