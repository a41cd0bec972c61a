import type { Finding, FindingCode } from '../checks/finding';
import type { PlanEdit } from '../checks/planEdit';
import type { FaultSeen } from '../inspection/inspection';
import type { Material } from '../materials/material';
import type { Sheet, SheetLine } from '../plan/sheet';
import type { BondMade, PouredLayer } from '../run/outcome';
import type { OverLimit } from '../run/overLimits';
import {
  type Change,
  coolerForMold,
  drierBase,
  holdingBase,
  hotter,
  jugAllowance,
  later,
  sooner,
  wetted,
  withoutFreezer,
  wrapped,
} from './changes';
import { type Evidence, evidenceOfRound } from './evidence';
import { FAULT_CAUSES, type NotRecorded, type Suspect } from './faultCauses';

/** What could have been the cause of a fault, with what this run measured of it. */
export type CauseFound =
  /** A pour met the layer below too late, or too soon. */
  | { code: 'late' | 'soon'; bond: BondMade }
  | { code: 'cool' | 'hot' | 'over-ceiling'; layer: PouredLayer }
  /** Hotter than its mold bears. */
  | { code: 'hot-for-mold'; layer: PouredLayer; mostC: number }
  | { code: 'over-limit'; over: OverLimit }
  /** Weighed otherwise than was aimed at; `deviation` is a fraction, −1 where it was left out. */
  | { code: 'weighed-short' | 'weighed-over'; name: string; letter: string; deviation: number }
  | { code: 'freezer-long'; wasS: number; plannedS: number }
  /** Out of its mold before the model had it cold enough. */
  | { code: 'out-early'; round: number; outS: number; readyS: number }
  | { code: 'stuck'; round: number }
  | { code: 'humid-room'; humidity: number; sweatsAbove: number }
  | { code: 'unwrapped'; lengthS: number }
  | { code: 'not-spritzed'; letter: string }
  | { code: 'not-wetted'; name: string; letter: string }
  | { code: 'no-allowance'; jugLossFraction: number }
  /** It was found before it was made, and made all the same. */
  | { code: 'found-before'; finding: Finding };

/** What was measured and speaks against a cause. */
export type RuledOut =
  | { code: 'in-its-window'; bond: BondMade }
  | { code: 'as-warm-as-planned'; layer: PouredLayer }
  | { code: 'spritzed' };

export interface Cause {
  found: CauseFound;
  /** From 0 to 1: for ranking, no probability. Our own judgement. */
  likely: number;
  /** What may be changed in the plan, one or another; none where only hands can do otherwise. */
  changes: Change[];
}

/** Causes of one fault, the likeliest first. */
export interface FaultCauses {
  seen: FaultSeen;
  round: number;
  causes: Cause[];
  ruledOut: RuledOut[];
  notRecorded: NotRecorded[];
}

/** Closer to its plan no pour is too hot or too cool. Our own assumption. */
const OFF_K = 2.5;
/** An estimate speaks less than a reading. Our own assumption. */
const NOT_READ = 0.6;
/** What was weighed is off by less than that: a hand. */
const OFF_WEIGHT = 0.04;
/** Wrapped within a day nothing has drawn water yet. Common practice, no source. */
const SAME_DAY_S = 24 * 3600;

/**
 * Ranks what could have been the causes of a fault by what its run measured.
 *
 * @param round that it was seen in, from 0
 */
export function causesOf(seen: FaultSeen, round: number, ofRun: Evidence): FaultCauses {
  const evidence = evidenceOfRound(ofRun, round);
  const { suspects, findings, notRecorded } = FAULT_CAUSES[seen.fault];
  const isOf = (pourIndexes: readonly number[]) =>
    seen.pourIndexes.length === 0 || pourIndexes.some((index) => seen.pourIndexes.includes(index));
  const causes = [
    ...suspects.flatMap(([suspect, weight]) =>
      JUDGES[suspect](evidence, isOf).map((each) => ({ ...each, likely: each.likely * weight })),
    ),
    ...foundBefore(findings, evidence, isOf),
  ].sort((a, b) => b.likely - a.likely);
  return {
    ...{ seen, round, causes },
    ruledOut: ruledOut(
      suspects.map(([suspect]) => suspect),
      evidence,
      isOf,
    ),
    notRecorded: notRecorded.filter((what) => isMissing(what, evidence)),
  };
}

type Judge = (evidence: Evidence, isOf: (pourIndexes: readonly number[]) => boolean) => Cause[];

const cause = (found: CauseFound, likely: number, changes: Change[] = []): Cause => ({
  ...{ found, likely, changes },
});

const asChanges = (fix: PlanEdit[] | null): Change[] => (fix ? [{ edits: fix, takes: null }] : []);

const JUDGES: Record<Suspect, Judge> = {
  late: ({ outcome, sheet }, isOf) =>
    outcome.bonds
      .filter((bond) => bond.bond === 'weak' && bond.afterS > bond.latestS && isOf(poursOf(sheet, bond)))
      .map((bond) => cause({ code: 'late', bond }, 1, sooner(bond, sheet, ceilingOf(outcome.layers, bond)))),
  soon: ({ outcome, sheet }, isOf) =>
    outcome.bonds
      .filter(({ bond }) => bond === 'broken')
      .filter((bond) => isOf(poursOf(sheet, bond)))
      .map((bond) => cause({ code: 'soon', bond }, 1, later(bond, sheet))),
  cool: ({ outcome }, isOf) =>
    layersOff(outcome.layers, isOf, (offK) => -offK).map(([layer, likely]) =>
      cause({ code: 'cool', layer }, likely, hotter(layer, Math.round(layer.plannedC + 3))),
    ),
  hot: ({ outcome, mold }, isOf) =>
    layersOff(outcome.layers, isOf, (offK) => offK).map(([layer, likely]) =>
      mold.highestC !== null && layer.tempC > mold.highestC
        ? cause(
            { code: 'hot-for-mold', layer, mostC: mold.highestC },
            1,
            layer.plannedC > mold.highestC ? coolerForMold(layer, mold.highestC) : [],
          )
        : cause({ code: 'hot', layer }, likely),
    ),
  'over-ceiling': ({ outcome }, isOf) =>
    outcome.layers
      .filter((layer) => layer.tempC > layer.ceilingC && isOf(layer.pourIndexes))
      .map((layer) => cause({ code: 'over-ceiling', layer }, 1)),
  'over-limit': ({ outcome }, isOf) =>
    outcome.over
      .filter(({ finding: { pourIndex } }) => isOf(pourIndex === null ? [] : [pourIndex]))
      .map((over) => cause({ code: 'over-limit', over }, 1, asChanges(over.finding.fix))),
  'dose-short': (evidence, isOf) => weighedOff(evidence, isOf, 'short', isFragrance),
  'dose-over': (evidence, isOf) => weighedOff(evidence, isOf, 'over', isColour),
  'base-short': (evidence, isOf) => weighedOff(evidence, isOf, 'short', null),
  'freezer-long': ({ outcome: { freezer } }) =>
    freezer && freezer.wasS > 1.5 * freezer.plannedS
      ? [cause({ code: 'freezer-long', ...freezer }, 1, withoutFreezer())]
      : [],
  'out-early': ({ early }) =>
    early
      .filter(({ outS, readyS }) => outS < readyS * 0.85)
      .map((each) => cause({ code: 'out-early', ...each }, 1)),
  stuck: ({ stuckRounds }) => stuckRounds.map((round) => cause({ code: 'stuck', round }, 1)),
  'humid-room': ({ humidity, sweatsAbove, sheet, shelf }) =>
    humidity !== null && humidity > sweatsAbove
      ? [
          cause({ code: 'humid-room', humidity, sweatsAbove }, 1, [
            ...wrapped(sheet, shelf),
            ...drierBase(sheet, humidity, shelf),
          ]),
        ]
      : [],
  unwrapped: ({ unwrappedS, sheet, shelf }) =>
    unwrappedS !== null && unwrappedS > SAME_DAY_S
      ? [cause({ code: 'unwrapped', lengthS: unwrappedS }, 1, wrapped(sheet, shelf))]
      : [],
  'not-spritzed': ({ sheet, isSpritzed }, isOf) =>
    isSpritzed
      ? []
      : sheet.pours
          .flatMap(({ letter, embeds }, index) => (index > 0 || embeds.length > 0 ? [{ letter, index }] : []))
          .filter(({ index }) => isOf([index]))
          .slice(0, 1)
          .map(({ letter }) => cause({ code: 'not-spritzed', letter }, 1)),
  'not-wetted': ({ sheet, shelf }, isOf) =>
    sheet.pours.flatMap(({ letter, lines }, index) =>
      isOf([index])
        ? lines
            .filter(
              (line) => isPowder(line) && !lines.some(({ wets, doseId }) => wets && doseId === line.doseId),
            )
            .map((line) =>
              cause({ code: 'not-wetted', name: line.material.name, letter }, 1, wetted(index, line, shelf)),
            )
        : [],
    ),
  'no-allowance': ({ sheet: { jugLossFraction } }) =>
    jugLossFraction < 0.005 ? [cause({ code: 'no-allowance', jugLossFraction }, 1, jugAllowance())] : [],
};

/** Layers that were off what was planned: how likely that was it, the more so the further off. */
function layersOff(
  layers: readonly PouredLayer[],
  isOf: (pourIndexes: readonly number[]) => boolean,
  measure: (offK: number) => number,
): [PouredLayer, number][] {
  return layers.flatMap((layer): [PouredLayer, number][] => {
    const offK = measure(layer.tempC - layer.plannedC);
    if (!(offK > OFF_K) || !isOf(layer.pourIndexes)) return [];
    return [[layer, Math.min(1, 0.5 + offK / 20) * (layer.isRead ? 1 : NOT_READ)]];
  });
}

function weighedOff(
  { weighings }: Evidence,
  isOf: (pourIndexes: readonly number[]) => boolean,
  way: 'short' | 'over',
  isOne: ((line: SheetLine) => boolean) | null,
): Cause[] {
  return weighings.flatMap(({ line, name, letter, pourIndex, deviation }) => {
    const isIt = line === null ? isOne === null : isOne?.(line);
    const off = way === 'short' ? -deviation : deviation;
    if (!isIt || !isOf([pourIndex]) || !(off > OFF_WEIGHT)) return [];
    return [cause({ code: `weighed-${way}`, name, letter, deviation }, Math.min(1, 0.7 + off))];
  });
}

function foundBefore(
  codes: Partial<Record<FindingCode, number>>,
  { findings, sheet, shelf }: Evidence,
  isOf: (pourIndexes: readonly number[]) => boolean,
): Cause[] {
  return findings.flatMap((finding) => {
    const likely = codes[finding.code];
    const { pourIndex, fix } = finding;
    if (likely === undefined || (pourIndex !== null && !isOf([pourIndex]))) return [];
    return [
      cause({ code: 'found-before', finding }, likely, [
        ...asChanges(fix),
        ...besidesFix(finding, sheet, shelf),
      ]),
    ];
  });
}

/** What the shelf has against what was found, besides the mend that came with it. */
function besidesFix(finding: Finding, sheet: Sheet, shelf: readonly Material[]): Change[] {
  switch (finding.code) {
    case 'heat-grain-moves':
    case 'solids-move':
      return finding.pourIndex === null ? [] : holdingBase(sheet, finding.pourIndex, shelf);
    case 'heat-sweats':
      return [...wrapped(sheet, shelf), ...drierBase(sheet, finding.humidity, shelf)];
    default:
      return [];
  }
}

function ceilingOf(layers: readonly PouredLayer[], { round, above }: BondMade): number {
  return layers.find((layer) => layer.round === round && layer.letters === above)?.ceilingC ?? Infinity;
}

function ruledOut(
  suspects: readonly Suspect[],
  { outcome, sheet, isSpritzed }: Evidence,
  isOf: (pourIndexes: readonly number[]) => boolean,
): RuledOut[] {
  const has = (suspect: Suspect) => suspects.includes(suspect);
  return [
    ...(has('late') || has('soon')
      ? outcome.bonds
          .filter((bond) => bond.bond !== 'weak' && bond.bond !== 'broken' && isOf(poursOf(sheet, bond)))
          .map((bond): RuledOut => ({ code: 'in-its-window', bond }))
      : []),
    ...(has('hot') || has('cool')
      ? outcome.layers
          .filter(
            (layer) =>
              layer.isRead && Math.abs(layer.tempC - layer.plannedC) <= OFF_K && isOf(layer.pourIndexes),
          )
          .map((layer): RuledOut => ({ code: 'as-warm-as-planned', layer }))
      : []),
    ...(has('not-spritzed') && isSpritzed ? [{ code: 'spritzed' as const }] : []),
  ];
}

function isMissing(what: NotRecorded, { outcome, humidity }: Evidence): boolean {
  if (what === 'temperature') return outcome.layers.some(({ isRead }) => !isRead);
  return what === 'room' ? humidity === null : true;
}

/** Places of the two pours that met. */
function poursOf({ pours }: Evidence['sheet'], { below, above }: BondMade): number[] {
  return pours.flatMap(({ letter }, index) => (`${below}${above}`.includes(letter) ? [index] : []));
}

function isFragrance({ material }: SheetLine): boolean {
  return material.kind === 'fragrance';
}

function isColour({ material, wets }: SheetLine): boolean {
  return material.kind === 'colorant' && !wets;
}

function isPowder({ material, wets }: SheetLine): boolean {
  return material.kind === 'colorant' && !wets && (material.form === 'mica' || material.form === 'pigment');
}
