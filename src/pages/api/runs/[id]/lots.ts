import { endpoint, param } from '../../../../server/endpoint';
import { lotsOfRun } from '../../../../server/lotsOfRun';
import { findRun } from '../../../../server/runs';
import { workshop } from '../../../../server/workshop';

/** Lots and what was taken, each as pairs with the id of the material. */
export const GET = endpoint((context) => {
  const { lots, taken } = lotsOfRun(workshop(), findRun(workshop(), param(context, 'id')));
  return { body: { lots: [...lots], taken: [...taken] } };
});
