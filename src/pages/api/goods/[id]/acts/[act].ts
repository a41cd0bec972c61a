import { endpoint, param } from '../../../../../server/endpoint';
import { takeGoodsBack } from '../../../../../server/goods';
import { workshop } from '../../../../../server/workshop';

/** Takes back what became of packs, or that they were packed: answers with all finished goods of their product. */
export const DELETE = endpoint((context) => ({
  body: takeGoodsBack(workshop(), param(context, 'id'), param(context, 'act')),
}));
