import { barsPerCavity } from '../core/molds/bars';
import { FILLING_FIELDS, PIECES_FIELDS } from '../core/plan/embedSchema';
import { type DraftEmbed, type DraftPlan, withIds } from '../core/plan/ids';
import { localMoment, roomSchema } from '../core/plan/makingSchema';
import { doseMeaning, PLAN_FILE_VERSION, type PlanFile, sameQuantity } from '../core/plan/plan';
import { checkNames, DOSE_FIELDS, FILE_FIELDS, PLAN_FIELDS, POUR_FIELDS } from '../core/plan/planSchema';
import { parseNumber } from '../core/units/parseNumber';
import { amountOf, type Quantity, sizeOf } from '../core/units/quantity';
import { writeQuantity } from '../core/units/writeQuantity';
import { z } from '../core/zod';

const NUMBER_1 =
  '(?:\\d+\\s+\\d+\\s*[/⁄]\\s*\\d+|\\d+\\s*[/⁄]\\s*\\d+|\\d*\\s*[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]|\\d+(?:[.,]\\d+)?|[.,]\\d+)';
const MASS_1 = '(?:mg|g|gr|kg|kilo|oz|lb|lbs|milligrams?|grams?|grammes?|kilos?|kilograms?|ounces?|pounds?)';
const UNIT_1 = `(?:%|percent|pct|${MASS_1}|ml|l|cc|tsp|tbsp|cups?|fl\\.? ?oz|teaspoons?|tablespoons?|drops?|blocks?)`;
/** The plain texts that version 1 could read, so that it had to say what they mean: `2 %`, `½ tsp/lb`, `6 drops/piece`. */
const READ_BY_VERSION_1 = new RegExp(
  `^${NUMBER_1}\\s*${UNIT_1}\\.?(?:\\s*(?:/|per )\\s*(?:piece|bar|cavity|${NUMBER_1}?\\s*${MASS_1}))?$`,
  'i',
);

/** So many times what the text names. */
function isRelationOf({ factor, of }: { factor: number; of: string }, text: string): boolean {
  const said = /^(?:=|(.+?)\s*(?:[x×*]|times\b))\s*(?:(?:of|the)\s+)*(.+?)\s*$/i.exec(text.trim());
  const number = said?.[1] === undefined ? null : parseNumber(said[1]);
  const times = number === null ? 1 : number.success && number.data.rest === '' ? number.data.value : null;
  return said?.[2] === of && times !== null && sameQuantity(times, factor);
}

/**
 * A dose of version 1 means what its text says, and nothing else. What could not be read then may be read by now, and
 * what was taken for a relation, such as “2 x 5 g”, keeps its meaning.
 */
const doseSchema1 = z.strictObject(DOSE_FIELDS).superRefine(({ text, means }, context) => {
  const isUnreadThen = means === null && !READ_BY_VERSION_1.test(text.trim());
  const isRelatedThen = means?.kind === 'times' && isRelationOf(means, text);
  if (!isUnreadThen && !isRelatedThen && !sameQuantity(means, doseMeaning(text)))
    context.addIssue({
      code: 'custom',
      path: ['means'],
      message: `doesn’t say the same as the text “${text.slice(0, 40)}”. Correct one of the two.`,
    });
});

const planSchema1 = z.strictObject({
  ...PLAN_FIELDS,
  /** What comes out of a cavity: a loaf, where it is sliced. */
  pieces: z.int().min(1).max(100_000),
  pours: z
    .array(
      z.strictObject({
        ...POUR_FIELDS,
        doses: z.array(doseSchema1).max(60),
        embeds: z
          .array(z.discriminatedUnion('as', [z.strictObject(PIECES_FIELDS), z.strictObject(FILLING_FIELDS)]))
          .min(1)
          .max(20)
          .optional(),
      }),
    )
    .min(1)
    .max(26),
  making: z
    .strictObject({
      room: roomSchema,
      clock: z.strictObject({ at: z.enum(['start', 'finish']), time: localMoment }).nullable(),
      freezerMin: z.number().min(1).max(600).nullable(),
    })
    .optional(),
});

/** The plan file, version 1: published, and read for ever. */
export const planFileSchema1 = z
  .strictObject({ ...FILE_FIELDS, version: z.literal(1), plan: planSchema1 })
  .superRefine(checkNames);

export type Plan1 = z.infer<typeof planSchema1>;

/** A file of version 1 as one of version 2: it has the sheet that it had. */
export function fromVersion1({ plan, ...file }: z.infer<typeof planFileSchema1>): PlanFile {
  return { ...file, version: PLAN_FILE_VERSION, plan: withIds(draftFrom1(plan, barsPerCavity(file.mold))) };
}

/**
 * A plan of version 1 without ids yet. Its pieces were loaves where a mold is sliced, and what it says a piece is shared
 * out among their bars; a dose in a jug that goes on said what its pour holds.
 */
export function draftFrom1(plan: Plan1, bars: number): DraftPlan {
  return {
    ...plan,
    pieces: plan.pieces * bars,
    pours: plan.pours.map(({ doses, embeds, ...pour }, index) => ({
      ...pour,
      doses: doses.map((dose) => ({
        ...dose,
        ...(bars > 1 ? perBar(dose, bars) : {}),
        ...(pour.way?.sameJug || plan.pours[index + 1]?.way?.sameJug ? { counts: 'content' as const } : {}),
      })),
      ...(embeds ? { embeds: embeds as DraftEmbed[] } : {}),
    })),
  };
}

function perBar({ text, means }: { text: string; means: Quantity | null }, bars: number) {
  if (means?.kind !== 'perPiece') return { text, means };
  const { amount } = means;
  const shared: Quantity = { kind: 'perPiece', amount: amountOf(amount.kind, sizeOf(amount) / bars) };
  return { text: writeQuantity(shared), means: shared };
}
