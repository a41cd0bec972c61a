import type { FigureFault as Fault, FigureRule } from '../../core/units/parseFigure';
import { explainFigureFault } from '../../words/en/units/figureFault';

/** Why a figure can't be taken; loaded with the first one that can't. */
export default function FigureFault({ fault, rule }: { fault: Fault; rule: FigureRule }) {
  return explainFigureFault(fault, rule);
}
