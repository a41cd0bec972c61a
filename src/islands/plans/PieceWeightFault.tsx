import type { PieceWeightFault as Fault } from '../../core/plan/backwards';
import { showMass } from '../../core/units/showQuantity';
import { useShowing } from '../shared/showing';

/** Why no fill gives a piece of the wanted weight. */
export default function PieceWeightFault({ fault }: { fault: Fault }) {
  const showing = useShowing();
  switch (fault.code) {
    case 'overfull':
      return `the cavity holds ${showMass(fault.mostG, showing)} at the most`;
    case 'additions-outweigh':
      return `the fixed doses alone weigh ${showMass(fault.leastG, showing)} a piece`;
    case 'sizes-fixed':
      return `every pour has its own size: a piece weighs ${showMass(fault.pieceG, showing)}`;
  }
}
