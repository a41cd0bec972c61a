import { bySeverity } from './bySeverity';
import type { Finding, FindingCode } from './finding';

/** What notes are told together of. What the pour plan finds comes in after the others, and moves none of them as the last. */
export const FOLDS = ['figures', 'label', 'stock', 'looks', 'way', 'heat'] as const;

export type Fold = (typeof FOLDS)[number];

/** Findings as they are told: one by itself, or several of a kind on one line. */
export type Told =
  | { kind: 'one'; finding: Finding }
  | { kind: 'fold'; fold: Fold; findings: Finding[] }
  /** Cautions about several materials whose safety nobody can tell, for want of a fact. */
  | { kind: 'unknown'; findings: Finding[] };

const FOLD_OF: Partial<Record<FindingCode, Fold>> = {
  'facts-missing': 'figures',
  'stand-in-figures': 'figures',
  'no-scales': 'figures',
  'usual-mold': 'figures',
  'scale-fit': 'figures',
  'dose-reads-otherwise': 'way',
  allergens: 'label',
  origins: 'label',
  'stock-short': 'stock',
  'lot-past-date': 'stock',
  'vanillin-browns': 'looks',
  'stabiliser-out-of-step': 'looks',
  'dye-bleeds': 'looks',
  'botanical-browns': 'looks',
  'solids-move': 'looks',
  'below-working-range': 'looks',
  overdone: 'looks',
  'too-much-colour': 'looks',
  'mold-too-hot': 'heat',
  'second-mold-times': 'heat',
  'freezer-refused': 'heat',
};

function foldOf({ code }: Finding): Fold {
  return FOLD_OF[code] ?? (code.startsWith('heat-') ? 'heat' : 'way');
}

/** Whether the lots of the shelf say it: one that is opened or bought settles it. */
export function isOfStock(finding: Finding): boolean {
  return foldOf(finding) === 'stock';
}

/**
 * What a batch is lost by comes first: what hurts skin or breaks a law, then what never sets or falls apart, then what it
 * looks like, then what is hard to measure, and what is not there. Our own order.
 */
const COST: readonly ((code: FindingCode) => boolean)[] = [
  (code) =>
    ['not-for-skin', 'candle-only', 'over-supplier-limit', 'unknown-limit', 'unfit-for-use'].includes(code),
  (code) => ['food-colour', 'grit-too-coarse', 'liquids-over-cap'].includes(code),
  (code) => code.endsWith('-over-cap') || code.startsWith('pour-') || code.startsWith('jug-'),
  (code) => code.startsWith('heat-') || code === 'mold-too-hot',
  (code) => code.startsWith('embed-') || code === 'solids-move',
  (code) => foldOf({ code } as Finding) === 'looks',
  (code) => code === 'scale-fit' || code === 'over-scale-capacity',
];

function costRank(code: FindingCode): number {
  const rank = COST.findIndex((isOf) => isOf(code));
  return rank < 0 ? COST.length : rank;
}

/** Stops one by one, then cautions by what they cost, those for want of a fact together, then notes on one line a kind. */
export function foldFindings(findings: readonly Finding[]): Told[] {
  const of = (severity: Finding['severity']) =>
    bySeverity(findings).filter((each) => each.severity === severity);
  const stops = of('stop').map((finding): Told => ({ kind: 'one', finding }));
  return [...stops, ...unknownTogether(of('caution')), ...notesTogether(of('note'))];
}

/** A limit or a grain that the shelf does not know. */
function isUnknown(finding: Finding): boolean {
  return finding.code === 'unknown-limit' || (finding.code === 'grit-too-coarse' && finding.grainMm === null);
}

function unknownTogether(cautions: readonly Finding[]): Told[] {
  const sorted = [...cautions].sort((a, b) => costRank(a.code) - costRank(b.code));
  const unknown = sorted.filter(isUnknown);
  if (unknown.length < 2) return sorted.map((finding) => ({ kind: 'one', finding }));
  return sorted.flatMap((finding): Told[] => {
    if (finding === unknown[0]) return [{ kind: 'unknown', findings: unknown }];
    return isUnknown(finding) ? [] : [{ kind: 'one', finding }];
  });
}

function notesTogether(notes: readonly Finding[]): Told[] {
  return FOLDS.flatMap((fold): Told[] => {
    const findings = notes.filter((each) => foldOf(each) === fold);
    return findings.length === 0 ? [] : [{ kind: 'fold', fold, findings }];
  });
}
