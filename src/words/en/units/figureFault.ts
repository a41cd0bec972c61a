import type { FigureFault, FigureRule } from '../../../core/units/parseFigure';

/** What was wrong and what to write, in one sentence. */
export function explainFigureFault(fault: FigureFault, { unit, least, most, whole }: FigureRule): string {
  const between = `from ${least} to ${most}${unit ? ` ${unit}` : ''}`;
  switch (fault.code) {
    case 'empty':
      return `Write ${whole ? 'a whole number' : 'a number'} ${between}.`;
    case 'negative':
    case 'too-small':
    case 'too-large':
      return `Must be ${between}.`;
    case 'not-whole':
      return `Must be a whole number ${between}.`;
    case 'no-number':
    case 'not-only-a-number':
      return `Only a number${unit ? ` of ${unit}` : ''} goes here, ${between}.`;
    case 'ambiguous-number':
      return `Could be ${fault.readings[0]} or ${fault.readings[1]}. Write the one you mean.`;
    case 'divided-by-zero':
      return 'Divides by zero. Write the fraction again.';
  }
}
