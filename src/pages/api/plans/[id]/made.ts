import { endpoint, param } from '../../../../server/endpoint';
import { madeByOthers } from '../../../../server/plans';
import { workshop } from '../../../../server/workshop';

/** What the workshop's other plans make, to be set into this one. */
export const GET = endpoint(async (context) => ({
  body: await madeByOthers(workshop(), param(context, 'id')),
}));
