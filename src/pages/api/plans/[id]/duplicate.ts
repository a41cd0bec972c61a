import { endpoint, param } from '../../../../server/endpoint';
import { duplicatePlan } from '../../../../server/plans';
import { workshop } from '../../../../server/workshop';

export const POST = endpoint((context) => ({
  status: 201,
  body: duplicatePlan(workshop(), param(context, 'id')),
}));
