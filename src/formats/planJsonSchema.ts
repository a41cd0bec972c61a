import { planFileSchema } from '../core/plan/planSchema';
import { z } from '../core/zod';
import { planFileSchema1 } from './planFile1';

const SCHEMAS = { 1: planFileSchema1, 2: planFileSchema } as const;

export const PLAN_FILE_VERSIONS = [1, 2] as const;

/**
 * The plan file, of a version, as JSON Schema 2020-12. What it can't say (that ids match, that text and meaning agree) the
 * product checks besides.
 */
export function planJsonSchema(version: (typeof PLAN_FILE_VERSIONS)[number]): object {
  return {
    $id: `urn:idle-tallow:schema:plan-${version}`,
    title: `Idle Tallow plan file, version ${version}`,
    ...z.toJSONSchema(SCHEMAS[version], { io: 'input' }),
  };
}
