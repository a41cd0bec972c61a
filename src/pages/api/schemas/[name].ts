import { OPEN_VERSION, openJsonSchema } from '../../../formats/openFormats';
import { PLAN_FILE_VERSIONS, planJsonSchema } from '../../../formats/planJsonSchema';
import { endpoint, param } from '../../../server/endpoint';
import { notFound } from '../../../server/problem';

/** `plan-1`, `plan-2`, `workshop-1`: the published schema of a version of the plan file, or of the whole workshop. */
export const GET = endpoint((context) => {
  const name = param(context, 'name');
  if (name === `workshop-${OPEN_VERSION}`)
    return { body: openJsonSchema(), headers: { 'content-type': 'application/schema+json' } };
  const version = PLAN_FILE_VERSIONS.find((each) => `plan-${each}` === name);
  if (version === undefined) throw notFound('schema', name);
  return { body: planJsonSchema(version), headers: { 'content-type': 'application/schema+json' } };
});
