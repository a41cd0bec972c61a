import type { Material } from '../materials/material';
import type { Mold } from '../molds/mold';
import { parseQuantity } from '../units/parseQuantity';
import type { Quantity } from '../units/quantity';
import type { z } from '../zod';
import type { EmbedSource, MadePiece } from './embed';
import type { Laid } from './laid';
import type { doseSchema, planFileSchema, planSchema, pourSchema, wettingSchema } from './planSchema';

export const PLAN_FILE_FORMAT = 'idle-tallow/plan';

export const PLAN_FILE_VERSION = 2;

/** More than any plan can name: 26 pours of 60 doses, each a blend of blends. */
export const MOST_MATERIALS = 200_000;

/** Letters of what is told with a pour. */
export const LONGEST_POUR_NOTE = 300;

/** As much of a file of any version as tells whether what is named is there. */
export interface NamingFile {
  plan: {
    moldId: string;
    secondMoldId?: string | undefined;
    packaging?: { materialId: string }[] | undefined;
    pours: {
      baseId: string;
      doses: { materialId: string; wetIn?: Wetting | undefined }[];
      embeds?: { from: EmbedSource }[] | undefined;
      remelt?: { scrapId: string } | undefined;
    }[];
  };
  mold: Mold;
  secondMold?: Mold | undefined;
  materials: Material[];
  made?: MadePiece[] | undefined;
}

export type Wetting = z.infer<typeof wettingSchema>;

export type Dose = z.infer<typeof doseSchema>;

/** What has no id yet. */
export type Draft<Item extends { id: string }> = Omit<Item, 'id'>;

export type Pour = z.infer<typeof pourSchema>;

export type Plan = z.infer<typeof planSchema>;

export type PlanFile = z.infer<typeof planFileSchema>;

/** What a dose's text means, or null when it cannot be read. */
export function doseMeaning(text: string): Quantity | null {
  const parsed = parseQuantity(text);
  return parsed.success ? parsed.data : null;
}

/** A dose of a material from what was typed. */
export function dose(materialId: string, text: string, wetIn?: Wetting): Draft<Dose> {
  return { materialId, text, means: doseMeaning(text), ...(wetIn ? { wetIn } : {}) };
}

/** A dose said anew; everything else of it stays. */
export function retyped(each: Dose, text: string): Dose {
  return { ...each, text, means: doseMeaning(text) };
}

/** A dose that says what is added to its jug, or what its pour holds. */
export function counting({ counts: _, ...rest }: Dose, counts: 'added' | 'content'): Dose {
  return counts === 'content' ? { ...rest, counts } : rest;
}

/** A dose that is laid somewhere, or stirred in. */
export function laying({ laid: _, ...rest }: Dose, laid: Laid | null): Dose {
  return laid ? { ...rest, laid } : rest;
}

/** A dose that may be left out at the bench, or that belongs in. */
export function asOptional({ optional: _, ...rest }: Dose, isOptional: boolean): Dose {
  return isOptional ? { ...rest, optional: true } : rest;
}

/** What a dose means: as it is kept, or as its text can be read by now. */
export function meaningOf({ text, means }: Pick<Dose, 'text' | 'means'>): Quantity | null {
  return means ?? doseMeaning(text);
}

/** A dose is never changed in place, and most are the same from one sheet to the next. */
const READ = new WeakMap<object, boolean>();

/** True where a text would be read otherwise now than it was when it was typed. */
export function readsOtherwise(dose: Pick<Dose, 'text' | 'means'>): boolean {
  const known = READ.get(dose);
  if (known !== undefined) return known;
  const { text, means } = dose;
  const now = doseMeaning(text);
  const otherwise = means !== null && now !== null && !sameQuantity(means, now, READS_ALIKE);
  READ.set(dose, otherwise);
  return otherwise;
}

/** Everything a plan names besides its mold, with what is in it; null for an id that is not known. */
export function namedMaterials(plan: Plan, materials: MaterialsById): Map<string, Material | null> {
  const ids: string[] = [];
  for (const pour of plan.pours) {
    ids.push(pour.baseId);
    for (const { materialId, wetIn } of pour.doses)
      ids.push(materialId, ...(wetIn ? [wetIn.dispersantId] : []));
    for (const { from } of pour.embeds ?? []) if (from.is === 'shelf') ids.push(from.materialId);
    if (pour.remelt) ids.push(pour.remelt.scrapId);
  }
  for (const { materialId } of plan.packaging ?? []) ids.push(materialId);
  return withMembers(ids, materials);
}

interface MaterialsById {
  get(id: string): Material | undefined;
}

/** Materials by their ids, with the members of blends and what scraps hold; null for an id that is not known. */
export function withMembers(ids: Iterable<string>, materials: MaterialsById): Map<string, Material | null> {
  const named = new Map<string, Material | null>();
  const add = (id: string) => {
    if (named.has(id)) return;
    const material = materials.get(id);
    named.set(id, material ?? null);
    if (material?.kind === 'blend') for (const member of material.members) add(member.materialId);
    // What a scrap holds counts in limits; where it is no more on the shelf, the scrap is told as not known.
    if (material?.kind === 'scrap')
      for (const held of material.holds ?? []) if (materials.get(held.materialId)) add(held.materialId);
  };
  for (const id of ids) add(id);
  return named;
}

/** Plans whose pieces are set into this one. */
export function namedPlans({ pours }: Pick<Plan, 'pours'>): Set<string> {
  const ids = pours.flatMap(({ embeds = [] }) =>
    embeds.flatMap(({ from }) => (from.is === 'plan' ? [from.planId] : [])),
  );
  return new Set(ids);
}

/** Letter of a pour by its place: A for the first. */
export function pourLetter(pourIndex: number): string {
  return String.fromCharCode('A'.charCodeAt(0) + pourIndex);
}

/** A text holds so many digits of what it means. */
const READS_ALIKE = 1e-5;

/** Last digits may differ between writers of numbers; what is measured does not. */
const SAME_WITHIN = 1e-9;

export function sameQuantity(one: unknown, other: unknown, within = SAME_WITHIN): boolean {
  if (typeof one === 'number' && typeof other === 'number') {
    return Math.abs(one - other) <= within * Math.max(Math.abs(one), Math.abs(other));
  }
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null)
    return one === other;
  const keys = Object.keys(one);
  return (
    keys.length === Object.keys(other).length &&
    keys.every((key) => sameQuantity(one[key as never], other[key as never], within))
  );
}
