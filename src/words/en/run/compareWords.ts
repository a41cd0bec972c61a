import type { Compared } from '../../../core/compare/compareRuns';
import type { FactKind } from '../../../core/compare/runFacts';
import type { Fault } from '../../../core/inspection/faults';
import type { Verdict } from '../../../core/run/run';
import { type Showing, showMass, showPercent, showTemperature } from '../../../core/units/showQuantity';
import { FAULT_NAMES } from '../inspection/faultNames';
import { lengthWords } from '../lengthWords';
import { VERDICT_NAMES } from './verdictNames';

const KIND_NAMES: Record<FactKind, string> = {
  version: 'Version of the plan',
  pieces: 'Pieces',
  mold: 'Mold',
  base: 'Base',
  'planned-dose': 'Planned, of base',
  'planned-heat': 'To be poured at',
  'room-heat': 'Room',
  'room-humidity': 'Humidity',
  weighed: 'On the scale',
  'poured-heat': 'Poured at',
  'poured-after': 'Poured after the one before',
  'good-pieces': 'Good pieces',
  'piece-weight': 'A piece weighed',
  faults: 'Faults',
  verdict: 'How it came out',
};

const IN_A_PLAN: ReadonlySet<FactKind> = new Set(['base', 'planned-dose', 'planned-heat', 'weighed']);

/** What a line of a comparison is about: “B: Bay & Rope, on the scale”. */
export function factName({ kind, round, letter, name }: Compared, hasRounds: boolean): string {
  const where = [hasRounds && round !== null ? `Round ${round}` : '', letter].filter((part) => part !== '');
  const what = name ? `${name}, ${KIND_NAMES[kind].toLowerCase()}` : KIND_NAMES[kind];
  return where.length === 0 ? what : `${where.join(', ')}: ${what}`;
}

/** A side of it with its unit. */
export function factValue(kind: FactKind, value: number | string | null, showing: Showing): string {
  // What is not in a plan was not forgotten to be read.
  if (value === null) return IN_A_PLAN.has(kind) ? 'none' : 'not recorded';
  switch (kind) {
    case 'planned-dose':
      return showPercent(Number(value), showing.locale, 2);
    case 'room-humidity':
      return showPercent(Number(value), showing.locale);
    case 'planned-heat':
    case 'poured-heat':
    case 'room-heat':
      return showTemperature(Number(value), showing, 1);
    case 'weighed':
    case 'piece-weight':
      return showMass(Number(value), showing);
    case 'poured-after':
      return lengthWords(Number(value), showing.locale);
    case 'faults':
      return value === ''
        ? 'none seen'
        : String(value)
            .split(' ')
            .map((fault) => FAULT_NAMES[fault as Fault])
            .join(', ');
    case 'verdict':
      return VERDICT_NAMES[value as Verdict];
    default:
      return String(value);
  }
}
