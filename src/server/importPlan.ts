import type { Material } from '../core/materials/material';
import { NOTHING_KNOWN } from '../core/materials/unknownMaterial';
import type { Mold } from '../core/molds/mold';
import { hasMold, NO_MOLD_ID } from '../core/molds/noMold';
import type { EmbedSource, MadePiece } from '../core/plan/embed';
import type { Plan, PlanFile } from '../core/plan/plan';
import type { StoredPlan } from '../core/plan/storedPlan';
import { z } from '../core/zod';
import { CHOICES, type Choices, type MetKind } from '../formats/meeting';
import { anyPlanFileSchema } from '../formats/planFile';
import { type RecordsHere, recordsHere } from './meeting';
import type { Workshop } from './openWorkshop';
import { createPlan, savePlan } from './plans';
import { parseBytes } from './readJson';
import { checked, RECORD_KINDS, type RecordKind } from './recordKinds';
import { saveRecord } from './records';

/** A plan file as it was sent, or `{ file, choices }` with what was chosen of the records that it meets. */
export interface PlanSent {
  bytes: Uint8Array;
  hasChoices: boolean;
}

const chosenSchema = z.strictObject({
  file: anyPlanFileSchema,
  choices: z.record(z.string().max(64), z.enum(CHOICES)),
});

/** @throws Problem 400 or 422 */
export function importSent(workshop: Workshop, { bytes, hasChoices }: PlanSent): StoredPlan {
  if (!hasChoices) return importPlan(workshop, parseBytes(bytes, anyPlanFileSchema));
  const { file, choices } = parseBytes(bytes, chosenSchema);
  return importPlan(workshop, file, choices);
}

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
    const into: Into = { workshop, here: recordsHere(workshop), choices };
    const moldId = hasMold(file) ? bringIn(into, 'mold', file.mold) : NO_MOLD_ID;
    const secondMoldId = file.secondMold && bringIn(into, 'mold', file.secondMold);
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
      ids.set(material.id, bringIn(into, 'material', here));
    }
    const molds = { moldId, ...(secondMoldId === undefined ? {} : { secondMoldId }) };
    const plan = renamed(file.plan, molds, ids, piecesFor({ ...into, choices: {} }, file.made ?? []));
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

/** Where the records of a file come in. */
interface Into {
  workshop: Workshop;
  here: RecordsHere;
  choices: Choices;
}

/** The id under which the workshop now has this record, or the one here that was chosen instead of it. */
function bringIn(into: Into, kind: MetKind, item: Mold | Material): string {
  return kind === 'mold'
    ? taken(into, kind, RECORD_KINDS.mold, item as Mold)
    : taken(into, kind, RECORD_KINDS.material, item as Material);
}

function taken<Item extends Mold | Material>(
  { workshop, here, choices }: Into,
  kind: MetKind,
  records: RecordKind<Item>,
  item: Item,
): string {
  const { now, newId } = workshop;
  const table = records.table(workshop);
  const met = here.meet(kind, item);
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
    here.took(kind, checked(workshop, records.check, save).item);
    return id;
  }
  const id = table.asKept(item.id) ? newId() : item.id;
  const own = { ...item, id };
  table.insert(own, now());
  here.took(kind, own);
  return id;
}

/**
 * What stands in for a plan that the workshop does not have: its piece, as one that was bought. A plan that is here
 * under the same id and name is the same.
 */
function piecesFor(into: Into, made: readonly MadePiece[]): ReadonlyMap<string, string> {
  const standIns = new Map<string, string>();
  for (const { planId, name, pieceG, pieceMl, heightMm } of made) {
    const here = into.workshop.plans.version(planId);
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
    standIns.set(planId, bringIn(into, 'material', piece));
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
