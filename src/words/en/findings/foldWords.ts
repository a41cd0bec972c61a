import type { Finding } from '../../../core/checks/finding';
import type { Fold } from '../../../core/checks/foldFindings';
import { counted, listed } from '../plural';

const FOLDS: Record<Exclude<Fold, 'figures'>, string> = {
  label: 'for the label',
  heat: 'on heat and time',
  stock: 'on stock',
  looks: 'on how it will look',
  way: 'on the plan',
};

/** Notes of a kind in one line. */
export function foldWords(fold: Fold, findings: readonly Finding[]): string {
  if (fold !== 'figures') return `${counted(findings.length, 'note', 'notes')} ${FOLDS[fold]}`;
  const materials = new Set(
    findings.flatMap(({ about, code }) => (code === 'no-scales' || code === 'usual-mold' ? [] : [about])),
  );
  const noScale = findings.some(({ code }) => code === 'no-scales');
  const mold = findings.find(({ code }) => code === 'usual-mold');
  const unknown = [
    ...(materials.size > 0 ? [counted(materials.size, 'material', 'materials')] : []),
    ...(mold ? ['the mold'] : []),
    ...(noScale ? ['the scale'] : []),
  ];
  return `Figures not known: ${listed(unknown)}`;
}

/** Cautions for want of a fact in one line: which materials nobody can tell about. */
export function unknownWords(findings: readonly Finding[]): string {
  const names = [...new Set(findings.map(({ about }) => about))];
  return `Cannot tell whether ${counted(names.length, 'material is', 'materials are')} safe as dosed: ${listed(names)}`;
}
