import { endpoint, param } from '../../../../server/endpoint';
import { lessonsOfRun } from '../../../../server/lessons';
import { findRun } from '../../../../server/runs';
import { workshop } from '../../../../server/workshop';

/** What a run taught of its jugs, its mold, what was counted, and what stays in a jug; each says whether it is kept. */
export const GET = endpoint(async (context) => ({
  body: await lessonsOfRun(workshop(), findRun(workshop(), param(context, 'id'))),
}));
