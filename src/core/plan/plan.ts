import { blendFaults } from '../materials/blend';
import { isDoseable, type Material, materialSchema } from '../materials/material';
import { moldSchema } from '../molds/mold';
import { parseQuantity } from '../units/parseQuantity';
import { type Quantity, quantitySchema } from '../units/quantity';
import { z } from '../zod';
import { embedSchema, madePieceSchema } from './embed';
import { makingSchema, whenSchema } from './making';
import { pourSizeSchema } from './pourSize';
import { pourWaySchema } from './pourWay';

export const USES = ['body', 'hands', 'face', 'hair', 'head-to-toe', 'gift', 'embeds'] as const;

/** What a powder is wetted in: so many times its own weight of a dispersant. */
export const wettingSchema = z.strictObject({
  dispersantId: z.string().min(1).max(64),
  times: z.number().min(0.05).max(20),
});

/** A dose as it was typed, beside what it means. `means` is null while the text cannot be read. */
export const doseSchema = z
  .strictObject({
    materialId: z.string().min(1).max(64),
    text: z.string().max(200),
    means: quantitySchema.nullable(),
    /** Left out when the material goes in as it is. */
    wetIn: wettingSchema.optional(),
  })
  .superRefine((dose, context) => {
    if (!sameQuantity(dose.means, doseMeaning(dose.text))) {
      context.addIssue({
        code: 'custom',
        path: ['means'],
        message: `doesn’t say the same as the text “${dose.text.slice(0, 40)}”. Correct one of the two.`,
      });
    }
  });

export const pourSchema = z.strictObject({
  baseId: z.string().min(1).max(64),
  size: pourSizeSchema,
  doses: z.array(doseSchema).max(60),
  /** Left out when it is poured level, all at once, from a jug of its own. */
  way: pourWaySchema.optional(),
  /** What is set into it; left out when nothing is. */
  embeds: z.array(embedSchema).min(1).max(20).optional(),
  /** Left out when its moment and its heat are left to the pour plan. */
  when: whenSchema.optional(),
});

/** What the crafter decides. Pours are in the order they are poured; A is the first. */
export const planSchema = z.strictObject({
  name: z.string().trim().min(1).max(120),
  use: z.enum(USES),
  moldId: z.string().min(1).max(64),
  pieces: z.int().min(1).max(100_000),
  /** How full each cavity is poured, as a fraction of its capacity. */
  fillFraction: z.number().min(0.05).max(1),
  /** The share of what is in the jug that stays on its walls. */
  jugLossFraction: z.number().min(0).max(0.5),
  pours: z.array(pourSchema).min(1).max(26),
  note: z.string().max(4000),
  /** Where and when it is made; left out in an ordinary room, at any time. */
  making: makingSchema.optional(),
});

export const PLAN_FILE_FORMAT = 'idle-tallow/plan';
export const PLAN_FILE_VERSION = 1;

/** More than any plan can name: 26 pours of 60 doses, each a blend of blends. */
const MOST_MATERIALS = 200_000;

/** A plan with the mold and the materials it names: all that is needed to make its sheet anywhere. */
export const planFileSchema = z
  .strictObject({
    format: z.literal(PLAN_FILE_FORMAT),
    version: z.literal(PLAN_FILE_VERSION),
    plan: planSchema,
    mold: moldSchema,
    materials: z.array(materialSchema).min(1).max(MOST_MATERIALS),
    /** The pieces of other plans that are set into this one. */
    made: z.array(madePieceSchema).max(100).optional(),
  })
  .superRefine((file, context) => {
    const issue = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message });
    if (file.mold.id !== file.plan.moldId) {
      issue(
        ['plan', 'moldId'],
        `names the mold “${shortId(file.plan.moldId)}”, which is not the one in this file.`,
      );
    }
    const byId = new Map(file.materials.map((material) => [material.id, material]));
    if (byId.size !== file.materials.length) issue(['materials'], 'holds two materials with the same id.');
    file.materials.forEach((material, index) => {
      if (material.kind !== 'blend') return;
      for (const { memberIndex, why } of blendFaults(material, byId))
        issue(['materials', index, 'members', memberIndex, 'materialId'], BLEND_FAULTS[why]);
    });
    file.plan.pours.forEach((pour, pourIndex) => {
      const path = ['plan', 'pours', pourIndex];
      if (byId.get(pour.baseId)?.kind !== 'base') {
        issue(
          [...path, 'baseId'],
          `“${shortId(pour.baseId)}” is not a base among the materials of this file.`,
        );
      }
      pour.embeds?.forEach(({ from }, embedIndex) => {
        const at = [...path, 'embeds', embedIndex, 'from'];
        if (from.is === 'plan') {
          if (!file.made?.some(({ planId }) => planId === from.planId))
            issue([...at, 'planId'], `“${shortId(from.planId)}” is not among the made pieces of this file.`);
        } else {
          const kind = byId.get(from.materialId)?.kind;
          if (kind !== 'scrap' && kind !== 'piece')
            issue(
              [...at, 'materialId'],
              `“${shortId(from.materialId)}” is neither scrap nor a bought piece among the materials of this file.`,
            );
        }
      });
      pour.doses.forEach((dose, doseIndex) => {
        const at = [...path, 'doses', doseIndex];
        const material = byId.get(dose.materialId);
        if (material === undefined || !isDoseable(material)) {
          issue(
            [...at, 'materialId'],
            `“${shortId(dose.materialId)}” is not a material that can be dosed among those of this file.`,
          );
        }
        if (dose.wetIn && byId.get(dose.wetIn.dispersantId)?.kind !== 'dispersant') {
          issue(
            [...at, 'wetIn', 'dispersantId'],
            `“${shortId(dose.wetIn.dispersantId)}” is not a dispersant among the materials of this file.`,
          );
        }
      });
    });
  });

const BLEND_FAULTS = {
  unknown: 'is not among the materials of this file.',
  'not-a-fragrance': 'is not a fragrance, and a blend is of fragrances.',
  'nested-too-deep': 'is a blend of blends. A blend may hold blends of fragrances, no deeper.',
};

/** An id in a message; one that is far too long is a fault of its own. */
function shortId(id: string): string {
  return id.slice(0, 64);
}

export type Use = (typeof USES)[number];
export type Wetting = z.infer<typeof wettingSchema>;
export type Dose = z.infer<typeof doseSchema>;
export type Pour = z.infer<typeof pourSchema>;
export type Plan = z.infer<typeof planSchema>;
export type PlanFile = z.infer<typeof planFileSchema>;

/** What a dose's text means, or null when it cannot be read. */
export function doseMeaning(text: string): Quantity | null {
  const parsed = parseQuantity(text);
  return parsed.success ? parsed.data : null;
}

/** A dose of a material from what was typed. */
export function dose(materialId: string, text: string, wetIn?: Wetting): Dose {
  return { materialId, text, means: doseMeaning(text), ...(wetIn ? { wetIn } : {}) };
}

/** A dose said anew; how it is wetted stays. */
export function retyped({ materialId, wetIn }: Dose, text: string): Dose {
  return dose(materialId, text, wetIn);
}

/** Everything a plan names besides its mold, with the members of its blends; null for an id that is not known. */
export function namedMaterials(
  plan: Plan,
  materials: { get(id: string): Material | undefined },
): Map<string, Material | null> {
  const named = new Map<string, Material | null>();
  const add = (id: string) => {
    if (named.has(id)) return;
    const material = materials.get(id);
    named.set(id, material ?? null);
    if (material?.kind === 'blend') for (const member of material.members) add(member.materialId);
  };
  for (const pour of plan.pours) {
    add(pour.baseId);
    for (const { materialId, wetIn } of pour.doses) {
      add(materialId);
      if (wetIn) add(wetIn.dispersantId);
    }
    for (const { from } of pour.embeds ?? []) if (from.is === 'shelf') add(from.materialId);
  }
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

/** Last digits may differ between writers of numbers; what is measured does not. */
const SAME_WITHIN = 1e-9;

function sameQuantity(one: unknown, other: unknown): boolean {
  if (typeof one === 'number' && typeof other === 'number') {
    return Math.abs(one - other) <= SAME_WITHIN * Math.max(Math.abs(one), Math.abs(other));
  }
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null)
    return one === other;
  const keys = Object.keys(one);
  return (
    keys.length === Object.keys(other).length &&
    keys.every((key) => sameQuantity(one[key as never], other[key as never]))
  );
}
