import type { Finding } from '../../../core/checks/finding';
import type { Fold } from '../../../core/checks/foldFindings';
import type { Showing } from '../../../core/units/showQuantity';
import { counted, listed } from '../plural';
import { describeFinding } from './describeFinding';

const FOLDS: Record<Exclude<Fold, 'figures'>, string> = {
  label: 'for the label',
  heat: 'on heat and time',
  stock: 'on stock',
  looks: 'on how it will look',
  way: 'on the plan',
};

/** Several notes of a kind in one line; a single one is its own title. */
export function foldWords(fold: Fold, findings: readonly Finding[], showing: Showing): string {
  const [only] = findings;
  if (findings.length === 1 && only) return describeFinding(only, showing).title;
  if (fold !== 'figures') return `${counted(findings.length, 'note', 'notes')} ${FOLDS[fold]}`;
  const materials = new Set(findings.flatMap(({ about, code }) => (code === 'no-scales' ? [] : [about])));
  const noScale = findings.some(({ code }) => code === 'no-scales');
  return `Figures not known for ${counted(materials.size, 'material', 'materials')}${noScale ? ', and no scale entered' : ''}`;
}

/** The same caution about several materials in one line. */
export function sameWords(findings: readonly Finding[]): string {
  return `Cannot tell whether ${counted(findings.length, 'material is', 'materials are')} safe at this dose: ${listed(findings.map(({ about }) => about))}`;
}
