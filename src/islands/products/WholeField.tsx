import { type FigureRule, parseFigure } from '../../core/units/parseFigure';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { Line } from '../shared/Line';

interface Props {
  label: string;
  text: string;
  rule: FigureRule;
  className?: string;
  onText(text: string): void;
}

const MOST = 12;

/** A figure as it is typed: what can't be read is said, and is no figure until it can. */
export function WholeField({ rule, text, ...line }: Props) {
  const read = parseFigure(text, rule);
  const fault = read.success ? null : explainFigureFault(read.error, rule);
  return <Line {...line} value={text} most={MOST} fault={fault} inputMode="numeric" />;
}
