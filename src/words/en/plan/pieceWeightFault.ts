import type { PieceWeightFault } from '../../../core/plan/backwards';
import { type Showing, showMass } from '../../../core/units/showQuantity';

/** Why no fill gives a piece of the wanted weight. */
export function explainPieceWeight(fault: PieceWeightFault, showing: Showing): string {
  switch (fault.code) {
    case 'overfull':
      return `the cavity holds ${showMass(fault.mostG, showing)} at the most`;
    case 'additions-outweigh':
      return `the fixed doses alone weigh ${showMass(fault.leastG, showing)} a piece`;
    case 'sizes-fixed':
      return `every pour has its own size: a piece weighs ${showMass(fault.pieceG, showing)}`;
  }
}
