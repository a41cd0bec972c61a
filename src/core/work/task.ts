import { LAID_WHERE } from '../plan/laid';
import { VESSELS } from '../pours/additions';
import { z } from '../zod';

const place = z.int().nonnegative();
const massG = z.number().nonnegative();
const tempC = z.number();

/** What every task says of itself. */
const common = {
  /** Says what it is: `r2/B/l1/base` is the base of the first load of pour B in the second round. */
  id: z.string().min(1).max(80),
  /** Filling all cavities once, from 0. */
  round: place,
  /** Places of the pours it is for; none where it is for the bars. */
  pourIndexes: z.array(place),
  /** Which melt of a pour that takes several, from 0. */
  load: place,
  loads: z.int().positive(),
  /** Ids of the tasks that must be over before it begins. */
  needs: z.array(z.string()),
};

/** The kinds of task, from the first cut to the last wrap, with what is particular to each. */
export const TASK_SHAPES = [
  /** `cutG` is what a knife can cut: doses follow the base that is really weighed. */
  { kind: z.literal('weigh-base'), massG, cutG: massG },
  { kind: z.literal('melt'), massG },
  { kind: z.literal('weigh-dose'), massG, lineIndex: place, into: z.enum(VESSELS) },
  /** Stirs what was weighed into a beaker or a cup, and adds it to the jug. */
  { kind: z.literal('stir-in'), lineIndexes: z.array(place), from: z.enum(['beaker', 'cup']) },
  /** Lays what was weighed into a dish, on or under its pour. */
  {
    kind: z.literal('lay'),
    lineIndexes: z.array(place),
    where: z.enum(LAID_WHERE),
    pressed: z.boolean(),
  },
  /** Shares a filling out before it is poured, or sets pieces into what was poured. */
  { kind: z.literal('inclusions'), embedIndexes: z.array(place), isFilling: z.boolean() },
  { kind: z.literal('cool'), tempC },
  { kind: z.literal('rewarm'), tempC },
  /** Alcohol on the layer below, right before the pour. */
  { kind: z.literal('spritz') },
  { kind: z.literal('pour'), tempC },
  { kind: z.literal('skin') },
  { kind: z.literal('freezer') },
  { kind: z.literal('set') },
  { kind: z.literal('unmold') },
  { kind: z.literal('wash') },
  { kind: z.literal('cut-bars') },
  { kind: z.literal('harden') },
  { kind: z.literal('wrap') },
] as const;

type CommonOf = z.infer<z.ZodObject<typeof common>>;
type ShapeOf<Shape> = Shape extends z.core.$ZodLooseShape ? z.infer<z.ZodObject<Shape>> : never;

/** One thing that hands or time do: the same in the pour plan, on paper and at the bench. */
export type Task = {
  [Place in keyof typeof TASK_SHAPES]: CommonOf & ShapeOf<(typeof TASK_SHAPES)[Place]>;
}[number];

export type TaskKind = Task['kind'];
export type TaskOf<Kind extends TaskKind> = Extract<Task, { kind: Kind }>;

export const taskCommon = common;

/** What passes by itself, and needs no hands: it is over when something that needed it is begun. */
const WAITS: ReadonlySet<TaskKind> = new Set(['cool', 'skin', 'freezer', 'set', 'harden']);

export function isWait({ kind }: Pick<Task, 'kind'>): boolean {
  return WAITS.has(kind);
}
