import { endpoint, param } from '../../../../server/endpoint';
import { findRun } from '../../../../server/runs';
import { stockForRun } from '../../../../server/stockForRun';
import { workshop } from '../../../../server/workshop';

/** Lots and what was taken, each as pairs with the id of the material. */
export const GET = endpoint((context) => {
  const { lots, taken } = stockForRun(workshop(), findRun(workshop(), param(context, 'id')));
  return { body: { lots: [...lots], taken: [...taken] } };
});
