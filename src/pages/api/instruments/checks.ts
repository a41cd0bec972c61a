import { newInstrumentCheckSchema } from '../../../core/run/instrumentCheckSchema';
import { endpoint } from '../../../server/endpoint';
import { addInstrumentCheck } from '../../../server/instrumentChecks';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

/** The newest first. */
export const GET = endpoint(() => ({ body: workshop().instrumentChecks.latest() }));

export const POST = endpoint(async ({ request }) => ({
  status: 201,
  body: addInstrumentCheck(workshop(), await readJson(request, newInstrumentCheckSchema)),
}));
