import type { PieceWeightFault as Fault } from '../../core/plan/backwards';
import { explainPieceWeight } from '../../words/en/plan/pieceWeightFault';
import { useShowing } from '../shared/showing';

/** Why no fill gives a piece of the wanted weight: loaded when none does. */
export default function PieceWeightFault({ fault }: { fault: Fault }) {
  return explainPieceWeight(fault, useShowing());
}
