import { endpoint, param } from '../../../../server/endpoint';
import { findRun } from '../../../../server/runs';
import { workshop } from '../../../../server/workshop';

export const GET = endpoint((context) => ({ body: findRun(workshop(), param(context, 'id')) }));
