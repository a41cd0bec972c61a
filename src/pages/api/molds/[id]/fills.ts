import { fillSeen } from '../../../../core/run/fillSeen';
import { endpoint, param } from '../../../../server/endpoint';
import { workshop } from '../../../../server/workshop';

const MOST = 50;

/** What the last finished runs say of a mold. */
export const GET = endpoint((context) => ({
  body: workshop()
    .runs.ofMold(param(context, 'id'), MOST)
    .flatMap((run) => fillSeen(run) ?? []),
}));
