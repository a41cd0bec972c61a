import type { PieceSizeFault } from '../../../core/plan/pieceSize';
import type { PourSizeFault } from '../../../core/plan/pourSize';
import { explainQuantityFault } from '../units/quantityFault';

const POUR_EXAMPLES =
  '“1 part”, “50 g” in all, “50 g base”, “8 mm”, “to 20 mm”, “¾ of the fill”, “disc 30 mm” or “rest”';
const PIECE_EXAMPLES = '“6 g”, “5 mL”, “20 x 15 x 8 mm” or “ball 20 mm”';

/** What was not understood of a pour's size, and what to write. */
export function explainPourSizeFault(fault: PourSizeFault): string {
  switch (fault.code) {
    case 'empty':
      return `How big is this pour? Write ${POUR_EXAMPLES}.`;
    case 'negative':
      return 'A pour can’t be below zero. Take the minus sign away.';
    case 'unreadable':
      return `“${fault.found.slice(0, 24)}” can’t be read. Write ${POUR_EXAMPLES}.`;
    case 'needs-length':
      return `“${fault.found.slice(0, 24)}” needs a length, such as ${fault.of === 'height' ? '“to 20 mm”' : '“disc 30 mm”'}.`;
    case 'no-size':
      return `“${fault.found.slice(0, 24)}” is no size of a pour. Write ${POUR_EXAMPLES}.`;
    case 'bad-mass':
      return explainQuantityFault(fault.fault, ['mass']);
    case 'out-of-range':
      return 'That is too small or too large for a pour. Check the figure and its unit.';
  }
}

/** What was not understood of a piece's size, and what to write. */
export function explainPieceSizeFault(fault: PieceSizeFault): string {
  return fault.code === 'no-size'
    ? `“${fault.found.slice(0, 24)}” is no size of a piece. Write ${PIECE_EXAMPLES}.`
    : `That can’t be the size of a piece. Write ${PIECE_EXAMPLES}.`;
}
