import type { Material } from '../../core/materials/material';
import { newKindSchema } from '../../core/materials/newKindSchema';
import { z } from '../../core/zod';
import type { RecipeLine } from './recipe';

const id = z.string().min(1).max(64);

export const recipeRequestSchema = z.strictObject({
  text: z.string().max(20_000),
  /** What is meant by a name: a material of the shelf, or what a new one is. */
  chosen: z
    .array(
      z.strictObject({
        name: z.string().min(1).max(200),
        is: z.union([z.strictObject({ id }), newKindSchema]),
      }),
    )
    .max(200),
  /** Where the text names no mold. */
  moldId: id,
});
export type RecipeRequest = z.infer<typeof recipeRequestSchema>;

/** A line as it was understood. */
export interface LineRead {
  at: number;
  kind: RecipeLine['kind'];
  text: string;
  /** What it says, or why it can't be read. */
  says: string;
  /** Of a base or a dose: its name, and what on the shelf that is or may be. */
  name: string | null;
  among: { id: string; name: string; kind: Material['kind'] }[];
  isSettled: boolean;
}

export interface RecipeRead {
  lines: LineRead[];
  namesMold: boolean;
  /** What keeps it from being a plan. */
  faults: string[];
}
