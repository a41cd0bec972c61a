import { blendFaults } from '../core/materials/blend';
import { materialSchema } from '../core/materials/materialSchema';
import { lotSchema } from '../core/stock/lotSchema';
import { z } from '../core/zod';
import { CSV_LIMITS } from '../formats/csv';
import { allowMaterial } from './materials';
import type { Workshop } from './openWorkshop';
import { invalidField } from './problem';
import { conflict, saveRecord } from './records';
import { addLot, saveLot } from './stock';

const revision = z.int().nonnegative().nullable();

/** Records that come in together; a revision of null says that the record is new. */
export const shelfImportSchema = z.strictObject({
  materials: z.array(z.strictObject({ item: materialSchema, revision })).max(CSV_LIMITS.rows),
  lots: z.array(z.strictObject({ item: lotSchema, revision })).max(CSV_LIMITS.rows),
});

export type ShelfImport = z.infer<typeof shelfImportSchema>;

export interface Imported {
  added: number;
  changed: number;
}

/**
 * Takes records onto the shelf, all of them or none.
 *
 * @throws Problem 409 when one was saved elsewhere meanwhile, or 422 naming the record that does not fit
 */
export function importShelf(workshop: Workshop, { materials, lots }: ShelfImport): Imported {
  const take = workshop.db.transaction((): Imported => {
    const count: Imported = { added: 0, changed: 0 };
    const at = workshop.now();
    for (const { item, revision: readAt } of materials) {
      if (readAt === null) {
        const there = workshop.materials.find(item.id);
        if (there) throw conflict(item, there.item, there.revision);
        workshop.materials.insert(item, at);
        count.added++;
      } else {
        saveRecord(workshop.materials, 'material', item, readAt, at, (before, after) =>
          allowMaterial(workshop, before, after),
        );
        count.changed++;
      }
    }
    checkBlends(workshop);
    for (const { item, revision: readAt } of lots) {
      if (readAt === null) {
        const { id, ...lot } = item;
        const there = workshop.lots.find(id);
        if (there) throw conflict(item, there.item, there.revision);
        addLot(workshop, lot, id);
        count.added++;
      } else {
        saveLot(workshop, item, readAt);
        count.changed++;
      }
    }
    return count;
  });
  return take.immediate();
}

/** @throws Problem 422 when a blend names what is not a fragrance, or blends of blends of blends */
export function checkBlends({ materials }: Workshop): void {
  const byId = new Map(materials.all().map(({ item }) => [item.id, item]));
  for (const item of byId.values()) {
    if (item.kind !== 'blend') continue;
    const [fault] = blendFaults(item, byId);
    if (fault) {
      throw invalidField(
        `members.${fault.memberIndex}.materialId`,
        `of the blend “${item.name}” ${WHY[fault.why]}`,
      );
    }
  }
}

const WHY = {
  unknown: 'is not on the shelf',
  'not-a-fragrance': 'is not a fragrance',
  'nested-too-deep': 'is a blend of blends; a blend may hold blends of fragrances, no deeper',
};
