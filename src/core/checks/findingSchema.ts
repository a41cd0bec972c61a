import { ORIGINS, USES } from '../materials/fields';
import { BATCH_FAULTS } from '../plan/batch';
import { ASSUMPTIONS } from '../plan/recipeDose';
import { RELATION_FAULTS } from '../plan/relations';
import { SIZE_FAULTS } from '../plan/sizeFault';
import { z } from '../zod';
import { planEditSchema } from './planEdit';

/** `stop`: must not be made like this. `caution`: think again. `note`: good to know. */
export const SEVERITIES = ['stop', 'caution', 'note'] as const;

/** Facts of a material that some check would need. */
export const FACTS = ['vanillin', 'allergens', 'origins'] as const;

/** What has no place in a bar for hair, or in a face bar. */
export const UNFIT_FOR_USE = [
  'hair-salt',
  'hair-botanical',
  'hair-grit',
  'hair-glitter',
  'face-glitter',
  'face-salt',
  'face-fragrance',
] as const;

/** Ways of pouring that do not go with the other pours. */
export const POUR_WAY_FAULTS = [
  'nothing-beside',
  'dropped-last',
  'dye-pockets',
  'trimmed-between',
  'ball-at-once',
  'two-jugs',
] as const;

/** What comes of too much of a material. */
export const EFFECTS = ['colour', 'glitter', 'salt', 'other'] as const;

/** What every finding says. */
const COMMON = {
  /** Rests on the ids of the pour and the doses it is about: edits elsewhere in the plan keep it. */
  id: z.string(),
  severity: z.enum(SEVERITIES),
  /** null when it is about the whole bar, or the whole plan. */
  pourIndex: z.int().nonnegative().nullable(),
  doseIndexes: z.array(z.int().nonnegative()),
  /** Name of the material, mold, jug or plan it is about. */
  about: z.string(),
  /** The record on the shelf that would settle it. */
  materialId: z.string().optional(),
  /** True when the limit is a usual figure and not the material's own. */
  assumed: z.boolean(),
  /** Changes to the plan that resolve it in one press. */
  fix: z.array(planEditSchema).nullable(),
};

const found = <Code extends string, Fields extends z.ZodRawShape>(code: Code, fields: Fields) =>
  z.strictObject({ code: z.literal(code), ...COMMON, ...fields });

/** Fractions of base; `apart` is what is not counted. */
const CAP = { ofBase: z.number(), cap: z.number(), apart: z.number() };
const DENSITIES = { densityGPerMl: z.number(), jugGPerMl: z.number() };

/** What a check found: data only, each kind with its own fields. Shares are fractions of one. */
export const findingSchema = z.discriminatedUnion('code', [
  found('batch-missed', {
    fault: z.enum(BATCH_FAULTS),
    by: z.enum(['base', 'jug']),
    massG: z.number(),
    comesToG: z.number(),
    /** null where there is no mold to make them in. */
    pieces: z.int().positive().nullable(),
  }),
  // Sizes and ways of pouring.
  found('pour-sizes', { fault: z.enum(SIZE_FAULTS), offMl: z.number(), offMm: z.number().nullable() }),
  found('pour-ways', {
    fault: z.enum(POUR_WAY_FAULTS),
    /** How high the first half of a ball is filled. */
    nearlyMm: z.number().nullable(),
  }),
  found('no-jug-to-go-on-in', {}),
  found('jug-of-another-base', {}),
  found('carried-in-jug', {}),
  found('too-much-in-jug', { overG: z.number() }),
  found('jug-too-small', {
    /** Of the pours from this jug. */
    letters: z.array(z.string()),
    melts: z.int(),
    cutG: z.number(),
    wholeMl: z.number(),
    fillings: z.int(),
  }),
  found('no-room-for-base', {
    additionsMl: z.number(),
    roomMl: z.number(),
    /** With so much melted there is room, g. */
    leastMeltG: z.number().nullable().default(null),
  }),
  found('not-computed', { cause: z.string() }),
  // What is set in.
  found('embed-has-no-size', {}),
  found('embed-in-itself', {}),
  found('embed-too-tall', { overMm: z.number() }),
  found('embed-out-of-pour', { overMm: z.number() }),
  found('embed-floats', DENSITIES),
  found('embed-sinks', DENSITIES),
  found('embed-made-ahead', { count: z.number() }),
  // Doses.
  found('dose-unreadable', {
    text: z.string(),
    /** It can be read, and is a share of a base that it does not go into. */
    isLaid: z.boolean().default(false),
  }),
  found('dose-reads-otherwise', { text: z.string() }),
  found('relation-unresolved', { text: z.string(), fault: z.enum(RELATION_FAULTS) }),
  found('not-for-skin', {}),
  found('candle-only', {}),
  found('food-colour', {}),
  found('needs-mold', {}),
  /** Base that is melted again, and what it brings along. */
  found('remelted', {
    ofBase: z.number(),
    /** How often it was melted before, as far as is known. */
    melts: z.int().positive(),
    isKnown: z.boolean(),
    doses: z.array(z.strictObject({ name: z.string(), ofBase: z.number() })),
    /** Bases that are in it besides that of the pour, and whether one of them is of another kind. */
    otherBases: z.array(z.string()),
    ofOtherKind: z.boolean(),
    /** What it holds that is no more on the shelf: in no limit. */
    missing: z.array(z.string()),
  }),
  found('second-mold-times', {
    /** Name of the plan's mold. */
    first: z.string(),
    holdsMl: z.number().positive(),
    firstHoldsMl: z.number().positive(),
  }),
  found('usual-mold', { capacityMl: z.number().positive() }),
  found('over-supplier-limit', {
    ofProduct: z.number(),
    limit: z.number(),
    /** The use that the limit is said of; null where the plain one stands. */
    forUse: z.enum(USES).nullable().default(null),
    /** What the fix brings it to, of base. */
    /** null where some of it is laid, and is no share of a base. */
    fixOfBase: z.number().nullable(),
    /** Of everything that is poured into the bar. */
    ofBar: z.number(),
    pours: z.int(),
  }),
  found('fragrance-over-cap', CAP),
  found('oils-over-cap', CAP),
  found('liquids-over-cap', CAP),
  found('additions-over-cap', CAP),
  found('grit-too-coarse', { grainMm: z.number().nullable(), mostMm: z.number(), forFace: z.boolean() }),
  found('unfit-for-use', { why: z.enum(UNFIT_FOR_USE) }),
  found('unknown-limit', { releaseUnknown: z.boolean() }),
  found('vanillin-browns', {
    vanillinOfBase: z.number(),
    /** Name of a stabiliser on the shelf; null where there is none. */
    stabiliser: z.string().nullable(),
  }),
  found('stabiliser-out-of-step', {
    /** Name of the stabiliser. */
    stabiliser: z.string(),
    /** 0.2 is a fifth more than the fragrance. */
    off: z.number(),
  }),
  found('dye-bleeds', {
    /** Letters of the pours of another colour that it lies against. */
    against: z.array(z.string()),
    unknown: z.boolean(),
  }),
  found('overdone', { ofBase: z.number(), most: z.number(), effect: z.enum(EFFECTS) }),
  found('too-much-colour', {
    /** 1.5 is half as much again as is usual. */
    ofMost: z.number(),
    colorants: z.int(),
    pours: z.int(),
  }),
  found('below-working-range', { ofBase: z.number(), least: z.number(), isScent: z.boolean() }),
  /** `floats`: it is poured over. */
  found('laid-plants', { floats: z.boolean() }),
  found('laid-without-goes', {}),
  found('solids-move', { baseName: z.string(), floats: z.boolean(), unknown: z.boolean() }),
  found('botanical-browns', {}),
  // Scales and shelf.
  found('no-scales', {}),
  found('over-scale-capacity', { massG: z.number(), capacityG: z.number() }),
  found('scale-fit', {
    scaleName: z.string(),
    massG: z.number(),
    stepG: z.number(),
    /** What the reading is off by at the most, as a fraction. */
    error: z.number(),
    /** What it may be off by. */
    most: z.number(),
    /** The scale is finer in grams; null where it is not. */
    inGrams: z.strictObject({ stepG: z.number(), error: z.number() }).nullable(),
    /** So many pieces are weighed finely enough; null where no number of them is. */
    pieces: z.int().nullable(),
    /** What the reading of a tenfold dilution is off by. */
    dilutedError: z.number(),
    isLiquid: z.boolean(),
  }),
  found('stock-short', { need: z.number(), left: z.number(), isCounted: z.boolean() }),
  found('lot-past-date', { bestBefore: z.string() }),
  found('allergens', { named: z.array(z.strictObject({ name: z.string(), ofProduct: z.number() })) }),
  found('origins', { origin: z.enum(ORIGINS) }),
  found('facts-missing', { facts: z.array(z.enum(FACTS)) }),
  found('stand-in-figures', { figures: z.array(z.enum(ASSUMPTIONS)), isBase: z.boolean() }),
  // Heat.
  found('mold-too-hot', { atC: z.number(), mostC: z.number(), coolerC: z.number() }),
  found('pour-over-ceiling', { atC: z.number(), mostC: z.number() }),
  found('freezer-refused', { dewPointC: z.number() }),
  found('heat-breaks-through', {
    /** Of the samples. */
    share: z.number(),
    atC: z.number(),
    isLikely: z.boolean(),
    isEarly: z.boolean(),
  }),
  found('heat-weak-bond', {
    /** Of the samples. */
    share: z.number(),
    atC: z.number(),
    afterS: z.number(),
    latestS: z.number(),
    /** Its jug, the oven or the hands are not free sooner. */
    waits: z.boolean(),
    isLikely: z.boolean(),
    /** Heat that joins it all the same; null where none does. */
    rewarm: z.strictObject({ fromC: z.number(), toC: z.number() }).nullable(),
    fixes: z.enum(['moment', 'heat']).nullable(),
  }),
  found('heat-jug-too-thick', {
    lowC: z.number(),
    middleC: z.number(),
    tooThickC: z.number(),
    pourS: z.number(),
    isLikely: z.boolean(),
  }),
  found('heat-grain-moves', {
    baseName: z.string(),
    /** Down; below zero it rises. */
    movesMm: z.number(),
    /** At this and below it stays; null where it never does while the base pours. */
    staysBelowC: z.number().nullable(),
  }),
  found('heat-freezer-too-long', { freezerMin: z.number(), mostMin: z.number(), dewPointC: z.number() }),
  found('heat-freezer-tacky', { unknown: z.boolean() }),
  found('heat-freezer-dew', {
    dewPointC: z.number(),
    dryS: z.number(),
    /** When it is dry again by the plan's clock, 2026-05-02T09:30; null where it has none. */
    dryAt: z.string().nullable(),
    beginsAt: z.string().nullable(),
  }),
  found('heat-freezer-dry', { dewPointC: z.number() }),
  found('heat-too-late', {
    /** By the plan's clock. */
    wantedAt: z.string(),
    lateS: z.number(),
    neededS: z.number(),
    never: z.boolean(),
  }),
  found('heat-sweats', { humidity: z.number(), waterActivity: z.number() }),
  found('heat-points-melt', {
    /** What is thinner goes soft; null where all of it does. */
    thinnestMm: z.number().nullable(),
    pointsStayBelowC: z.number(),
  }),
  found('heat-hot-on-skin', { atC: z.number(), ruleC: z.number() }),
  found('heat-never-out', { wantedC: z.number(), roomC: z.number(), isForCutting: z.boolean() }),
]);
