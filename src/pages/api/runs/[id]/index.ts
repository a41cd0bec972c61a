import { endpoint, param } from '../../../../server/endpoint';
import { runJson } from '../../../../server/runJson';
import { findRun } from '../../../../server/runs';
import { workshop } from '../../../../server/workshop';

export const GET = endpoint(async (context) => ({
  json: await runJson(findRun(workshop(), param(context, 'id'))),
}));
