import { LEAST_MELT_LIMITS_G } from '../houseRules/leastMelt';
import { blendFaults } from '../materials/blend';
import { USES } from '../materials/fields';
import { isDoseable } from '../materials/material';
import { materialSchema } from '../materials/materialSchema';
import { moldSchema } from '../molds/moldSchema';
import { NO_MOLD_ID } from '../molds/noMold';
import { quantitySchema } from '../units/quantitySchema';
import { z } from '../zod';
import { batchSchema } from './batchSchema';
import { embedSchema, madePieceSchema } from './embedSchema';
import { laidSchema } from './laidSchema';
import { makingSchema, whenSchema } from './makingSchema';
import { packedSchema } from './packedSchema';
import type { NamingFile } from './plan';
import { LONGEST_POUR_NOTE, MOST_MATERIALS, PLAN_FILE_FORMAT, PLAN_FILE_VERSION } from './plan';
import { pourSizeSchema } from './pourSizeSchema';
import { pourWaySchema } from './pourWaySchema';

/** What a powder is wetted in: so many times its own weight of a dispersant. */
export const wettingSchema = z.strictObject({
  dispersantId: z.string().min(1).max(64),
  times: z.number().min(0.05).max(20),
});

const id = z.string().min(1).max(64);

/** What a dose says, in any version of the file. */
export const DOSE_FIELDS = {
  materialId: id,
  text: z.string().max(200),
  means: quantitySchema.nullable(),
  /** Left out when the material goes in as it is. */
  wetIn: wettingSchema.optional(),
};

/**
 * A dose as it was typed, beside what it means. What it means is what counts; it is null while the text could not be read.
 */
export const doseSchema = z.strictObject({
  /** Stays the same while the plan is edited. */
  id,
  ...DOSE_FIELDS,
  /** Of a pour that goes on in a jug: the dose is what its pour then holds, not what is added before it. */
  counts: z.literal('content').optional(),
  /** Left out where it is stirred in. */
  laid: laidSchema.optional(),
  /** It may be left out at the bench; left out itself where the dose belongs in. */
  optional: z.literal(true).optional(),
});

/** What a pour says besides its doses and what is set into it, in any version of the file. */
export const POUR_FIELDS = {
  baseId: id,
  size: pourSizeSchema,
  /** Left out when it is poured level, all at once, from a jug of its own. */
  way: pourWaySchema.optional(),
  /** Left out when its moment and its heat are left to the pour plan. */
  when: whenSchema.optional(),
};

export const pourSchema = z.strictObject({
  /** Stays the same while the plan is edited. */
  id,
  ...POUR_FIELDS,
  doses: z.array(doseSchema).max(60),
  /** What is set into it; left out when nothing is. */
  embeds: z.array(embedSchema).min(1).max(20).optional(),
  /** So much of its base comes out of the scrap jar and is melted again; left out where none does. */
  remelt: z.strictObject({ scrapId: id, ofBase: z.number().min(0.01).max(1) }).optional(),
  /** What hands are told when they pour it, such as a texture that is pressed into its face; left out where there is nothing to say. */
  note: z.string().min(1).max(LONGEST_POUR_NOTE).optional(),
});

/** What a plan says besides its pours, in any version of the file. */
export const PLAN_FIELDS = {
  name: z.string().trim().min(1).max(120),
  use: z.enum(USES),
  moldId: id,
  /** How full each cavity is poured, as a fraction of its capacity. */
  fillFraction: z.number().min(0.05).max(1),
  /** The share of what is in the jug that stays on its walls. */
  jugLossFraction: z.number().min(0).max(0.5),
  note: z.string().max(4000),
};

/** What the crafter decides. Pours are in the order they are poured; A is the first. */
export const planSchema = z
  .strictObject({
    ...PLAN_FIELDS,
    /** Bars, where the mold is sliced. */
    pieces: z.int().min(1).max(10_000_000),
    /** What goes beyond its mold in a round goes into this one, filled as full; left out where the mold is filled again. */
    secondMoldId: id.optional(),
    pours: z.array(pourSchema).min(1).max(26),
    /** Left out where the amount is said as pieces and fill. */
    batch: batchSchema.optional(),
    /** Less base than this is melted as this, g, with fixed doses for all of it; left out where any weight is melted. */
    leastMeltG: z.number().min(LEAST_MELT_LIMITS_G[0]).max(LEAST_MELT_LIMITS_G[1]).optional(),
    /** What its pieces are wrapped in; left out where nothing of it is counted. */
    packaging: z.array(packedSchema).min(1).max(10).optional(),
    /** Where and when it is made; left out in an ordinary room, at any time. */
    making: makingSchema.optional(),
    /** Findings that were accepted, each with what it said then in few letters; left out where none is. */
    seen: z
      .array(z.strictObject({ id: z.string().min(1).max(2000), said: z.string().min(1).max(16) }))
      .max(200)
      .optional(),
  })
  .superRefine(({ pours, moldId, batch, packaging }, context) => {
    if (moldId === NO_MOLD_ID && batch?.gives !== 'pieces')
      context.addIssue({ code: 'custom', path: ['batch'], message: 'weight-without-mold' });
    const seen = new Set<string>();
    const look = (each: { id: string }, path: (string | number)[]) => {
      if (seen.has(each.id))
        context.addIssue({
          code: 'custom',
          path: [...path, 'id'],
          message: 'id-twice',
          params: { id: each.id },
        });
      seen.add(each.id);
    };
    packaging?.forEach((packed, place) => {
      look(packed, ['packaging', place]);
    });
    pours.forEach((pour, place) => {
      look(pour, ['pours', place]);
      pour.doses.forEach((dose, index) => {
        look(dose, ['pours', place, 'doses', index]);
      });
      pour.embeds?.forEach((embed, index) => {
        look(embed, ['pours', place, 'embeds', index]);
      });
    });
  });

/** What a file brings along besides its plan, in any version. */
export const FILE_FIELDS = {
  format: z.literal(PLAN_FILE_FORMAT),
  mold: moldSchema,
  materials: z.array(materialSchema).min(1).max(MOST_MATERIALS),
  /** The pieces of other plans that are set into this one. */
  made: z.array(madePieceSchema).max(100).optional(),
};

/** A plan with the mold and the materials it names: all that is needed to make its sheet anywhere. */
export const planFileSchema = z
  .strictObject({
    ...FILE_FIELDS,
    version: z.literal(PLAN_FILE_VERSION),
    plan: planSchema,
    /** The plan's second mold; left out where it has none. */
    secondMold: moldSchema.optional(),
  })
  .superRefine(checkNames);

/** Everything that a plan names must be in its file, and be what it is named as. */
export function checkNames(file: NamingFile, context: z.RefinementCtx): void {
  const issue = (path: (string | number)[], message: string, id?: string) =>
    context.addIssue({ code: 'custom', path, message, params: { id } });
  if (file.mold.id !== file.plan.moldId) {
    issue(['plan', 'moldId'], 'another-mold', file.plan.moldId);
  }
  if (file.secondMold?.id !== file.plan.secondMoldId) {
    issue(['plan', 'secondMoldId'], 'another-mold', file.plan.secondMoldId ?? file.secondMold?.id);
  }
  const byId = new Map(file.materials.map((material) => [material.id, material]));
  if (byId.size !== file.materials.length) issue(['materials'], 'materials-twice');
  file.materials.forEach((material, index) => {
    if (material.kind !== 'blend') return;
    for (const { memberIndex, why } of blendFaults(material, byId))
      issue(['materials', index, 'members', memberIndex, 'materialId'], `blend-member-${why}`);
  });
  file.plan.packaging?.forEach(({ materialId }, place) => {
    if (byId.get(materialId)?.kind !== 'packaging')
      issue(['plan', 'packaging', place, 'materialId'], 'no-such-packaging', materialId);
  });
  file.plan.pours.forEach((pour, pourIndex) => {
    const path = ['plan', 'pours', pourIndex];
    if (byId.get(pour.baseId)?.kind !== 'base') {
      issue([...path, 'baseId'], 'no-such-base', pour.baseId);
    }
    if (pour.remelt && byId.get(pour.remelt.scrapId)?.kind !== 'scrap')
      issue([...path, 'remelt', 'scrapId'], 'no-such-scrap', pour.remelt.scrapId);
    pour.embeds?.forEach(({ from }, embedIndex) => {
      const at = [...path, 'embeds', embedIndex, 'from'];
      if (from.is === 'plan') {
        if (!file.made?.some(({ planId }) => planId === from.planId))
          issue([...at, 'planId'], 'no-such-made-piece', from.planId);
      } else {
        const kind = byId.get(from.materialId)?.kind;
        if (kind !== 'scrap' && kind !== 'piece')
          issue([...at, 'materialId'], 'no-such-piece', from.materialId);
      }
    });
    pour.doses.forEach((dose, doseIndex) => {
      const at = [...path, 'doses', doseIndex];
      const material = byId.get(dose.materialId);
      if (material === undefined || !isDoseable(material)) {
        issue([...at, 'materialId'], 'no-such-dose', dose.materialId);
      }
      if (dose.wetIn && byId.get(dose.wetIn.dispersantId)?.kind !== 'dispersant') {
        issue([...at, 'wetIn', 'dispersantId'], 'no-such-dispersant', dose.wetIn.dispersantId);
      }
    });
  });
}
