import { TASK_SHAPES, type Task, taskCommon } from '../work/task';
import { z } from '../zod';
import { rangeSchema } from './range';

/** When a task is done, and in which jug. */
const times = {
  /** s from the first action. */
  fromS: z.number(),
  toS: z.number(),
  /** When it ends, where that is not sure. */
  ends: rangeSchema.nullable(),
  /** Hands are bound all the while. */
  hands: z.boolean(),
  /** What it is done in; two where pours go in from two jugs at once. */
  jugs: z.array(z.strictObject({ id: z.string(), name: z.string() })),
  /** Of a melt: how warm it ends, and its bursts; none over a double boiler. */
  melt: z
    .strictObject({
      endC: z.number(),
      bursts: z
        .array(
          z.strictObject({
            lengthS: z.number().nonnegative(),
            power: z.number().positive().max(1),
            stirS: z.number().nonnegative(),
            restS: z.number().nonnegative(),
          }),
        )
        .nullable(),
    })
    .nullable(),
};

/** A jug as a task names it. */
export type TaskJug = TaskTimes['jugs'][number];

export type TaskTimes = z.infer<z.ZodObject<typeof times>>;

/** A task with its times. */
export type ScheduledTask = Task & TaskTimes;

const [first, ...more] = TASK_SHAPES.map((shape) => z.strictObject({ ...taskCommon, ...shape, ...times }));

export const scheduledTaskSchema = z.discriminatedUnion('kind', [
  first as z.ZodObject<typeof taskCommon>,
  ...(more as z.ZodObject<typeof taskCommon>[]),
]) as unknown as z.ZodType<ScheduledTask>;
