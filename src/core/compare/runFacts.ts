import { faultsOfRounds, goodPiecesSeen, lastWeightsG } from '../inspection/inspection';
import { logEntry } from '../run/logEntry';
import { progress } from '../run/progress';
import type { Run } from '../run/run';

/** What is compared of two runs, in the order it is told. */
export const FACT_KINDS = [
  'version',
  'pieces',
  'mold',
  'base',
  'planned-dose',
  'planned-heat',
  'room-heat',
  'room-humidity',
  'weighed',
  'poured-heat',
  'poured-after',
  'good-pieces',
  'piece-weight',
  'faults',
  'verdict',
] as const;
export type FactKind = (typeof FACT_KINDS)[number];

/** Something that is known of a run. Weights in g, heat in °C, times in s, doses and humidity as fractions. */
export interface RunFact {
  kind: FactKind;
  /** Round from 1, with the letter of the pour and the name of the material it is of, as far as it is of one. */
  round: number | null;
  letter: string;
  name: string;
  value: number | string;
}

/** What a finished run was planned, made and seen as. */
export function runFacts(run: Run): RunFact[] {
  const { sheet } = run.snapshot;
  const so = progress(run);
  const entry = logEntry(run);
  const of = (kind: FactKind, value: number | string | null | undefined, about: Partial<RunFact> = {}) =>
    value === null || value === undefined
      ? []
      : [{ kind, round: null, letter: '', name: '', value, ...about }];
  const weightsG = lastWeightsG(so.inspections);
  const faults = faultsOfRounds(so.inspections).map(({ seen }) => seen.fault);
  return [
    ...of('version', run.planVersion),
    ...of('pieces', sheet.pieces),
    ...of('mold', sheet.mold.name),
    ...sheet.pours.flatMap(({ letter, base, lines }) => [
      ...of('base', base.name, { letter }),
      ...lines.flatMap(({ material, ofBase, wets }) =>
        wets ? [] : of('planned-dose', ofBase, { letter, name: material.name }),
      ),
    ]),
    ...entry.pours
      .filter(({ load, round }) => load === 1 && round === 1)
      .flatMap(({ plannedC, pourLetters }) =>
        of('planned-heat', plannedC, { letter: pourLetters.join(' and ') }),
      ),
    ...of('room-heat', so.room?.tempC),
    ...of('room-humidity', so.room?.humidity),
    ...entry.weights.flatMap(({ round, load, pourLetter, name, actualG }) =>
      load === 1 ? of('weighed', actualG, { round, letter: pourLetter, name }) : [],
    ),
    ...pouredFacts(entry.pours, of),
    ...of('good-pieces', goodPiecesSeen(so.inspections, sheet.totals.rounds) ?? entry.goodPieces),
    ...of(
      'piece-weight',
      weightsG.length === 0 ? null : weightsG.reduce((sum, each) => sum + each, 0) / weightsG.length,
    ),
    ...of('faults', [...new Set(faults)].join(' ')),
    ...of('verdict', entry.verdict),
  ];
}

type Of = (kind: FactKind, value: number | null, about: Partial<RunFact>) => RunFact[];

/** How warm each pour was, and how long after the one before. */
function pouredFacts(pours: ReturnType<typeof logEntry>['pours'], of: Of): RunFact[] {
  return pours.flatMap((pour, place) => {
    if (pour.isLeftOut || pour.load !== 1) return [];
    const about = { round: pour.round, letter: pour.pourLetters.join(' and ') };
    const before = pours
      .slice(0, place)
      .findLast(({ round, isLeftOut }) => round === pour.round && !isLeftOut);
    return [
      ...of('poured-heat', pour.tempC, about),
      ...of('poured-after', before ? (Date.parse(pour.at) - Date.parse(before.at)) / 1000 : null, about),
    ];
  });
}
