import { planFileSchema } from '../core/plan/plan';
import { z } from '../core/zod';

/** The plan file, version 1, as JSON Schema 2020-12. What it can't say (that ids match, that text and meaning agree) the product checks besides. */
export function planJsonSchema(): object {
  return {
    $id: 'urn:idle-tallow:schema:plan-1',
    title: 'Idle Tallow plan file, version 1',
    ...z.toJSONSchema(planFileSchema, { io: 'input' }),
  };
}
