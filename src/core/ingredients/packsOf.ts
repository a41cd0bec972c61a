import { NAMED_FROM_OF_PRODUCT } from '../checks/allergens';
import { type AllergenList, isNamedBy } from '../materials/allergenNames';
import type { Material } from '../materials/material';
import type { Held } from '../materials/scrap';
import type { Sheet } from '../plan/sheet';
import { contentOfRun } from '../run/contentOfRun';
import type { Progress } from '../run/progress';
import type { Pack } from './ingredients';

/** What the names of scent and water are called, by whose rules a label is. */
export const PARFUM = 'Parfum';

/** As much as a whole of 100 g: only shares count. */
const WHOLE_G = 100;

/**
 * What is in the pieces, as packs with their lists: by what was weighed, or as planned where nothing was. Scents are one
 * Parfum, beside which their allergens are named that are to be.
 *
 * @param materials by id, as they are now: for what the sheet only names (what came with base that is melted again, and
 * pieces), and for what nobody had told of a pack when the sheet was made
 * @param list by which allergens are named
 * @returns null where something melted again is not known
 */
export function packsOf(
  sheet: Sheet,
  so: Pick<Progress, 'tasks'>,
  materials: (id: string) => Material | null,
  list: AllergenList = '2023-1545',
): Pack[] | null {
  const held = contentOfRun({ snapshot: { sheet } }, so, []);
  if (held === null) return null;
  const frozen = new Map(
    sheet.pours.flatMap(({ base, lines, carried, inherited, laid }) => [
      [base.id, base as Material] as const,
      ...[...lines, ...carried, ...inherited, ...laid].map(
        ({ material }) => [material.id, material as Material] as const,
      ),
    ]),
  );
  const of = (id: string) => {
    const [then, now] = [frozen.get(id), materials(id)];
    return then ? toldSince(then, now) : now;
  };
  return [...held.map((each) => packOf(each, of(each.materialId))), ...allergenPacks(held, of, list)];
}

/** A material of a sheet with what its pack was found to tell after the sheet was made. */
function toldSince(then: Material, now: Material | null): Material {
  if (then.kind === 'packaging' || now === null || now.kind !== then.kind) return then;
  const inci = then.inci ?? now.inci;
  // Shares are of the list that they were typed beside.
  const isSameList = String(inci) === String(now.inci);
  const told = { inci, inciShares: then.inciShares ?? (isSameList ? now.inciShares : null) };
  return then.kind === 'fragrance' && now.kind === 'fragrance'
    ? { ...then, ...told, allergens: then.allergens ?? now.allergens }
    : { ...then, ...told };
}

function packOf({ name, ofScrap }: Held, material: Material | null): Pack {
  const common = { name, massG: ofScrap * WHOLE_G };
  if (material?.kind === 'fragrance' || material?.kind === 'blend') {
    const isUntold = material.kind === 'fragrance' && material.allergens === null;
    return { ...common, inci: [PARFUM], ...(isUntold ? { allergensUnknown: true } : {}) };
  }
  const inci = material && 'inci' in material ? material.inci : null;
  const shares = material && 'inciShares' in material ? (material.inciShares ?? []) : [];
  return {
    ...{ ...common, inci, known: new Map(shares.map((each) => [each.name, each.ofMaterial])) },
    ...(material?.kind === 'colorant' ? { isColorant: true } : {}),
  };
}

function allergenPacks(
  held: readonly Held[],
  of: (id: string) => Material | null,
  list: AllergenList,
): Pack[] {
  const sums = new Map<string, number>();
  for (const { materialId, ofScrap } of held) {
    const material = of(materialId);
    if (material?.kind !== 'fragrance') continue;
    for (const { name, ofMaterial } of material.allergens ?? [])
      sums.set(name, (sums.get(name) ?? 0) + ofScrap * ofMaterial);
  }
  return [...sums]
    .filter(([name, share]) => share > NAMED_FROM_OF_PRODUCT && isNamedBy(list, name))
    .map(([name, share]) => ({ name, massG: share * WHOLE_G, inci: [name], isWithin: true }));
}
