import type { FindingCode } from '../checks/finding';
import type { Fault } from '../inspection/faults';

/** What a run is asked about a fault. */
export type Suspect =
  | 'late'
  | 'soon'
  | 'cool'
  | 'hot'
  | 'over-ceiling'
  | 'over-limit'
  | 'dose-short'
  | 'dose-over'
  | 'base-short'
  | 'freezer-long'
  | 'out-early'
  | 'stuck'
  | 'humid-room'
  | 'unwrapped'
  | 'not-spritzed'
  | 'not-wetted'
  | 'no-allowance';

/** What is not recorded of a run, and would tell. */
export type NotRecorded = 'temperature' | 'room' | 'stirring';

interface CausesOfFault {
  /** Each with how much it is to be reckoned with where the run has it, from 0 to 1. */
  suspects: readonly (readonly [Suspect, number])[];
  /** What the checks had found before it was made. */
  findings: Partial<Record<FindingCode, number>>;
  /** What would tell, were it recorded. */
  notRecorded: readonly NotRecorded[];
}

/** Which causes go with which fault, and how much each is to be reckoned with: common practice, no source; the figures are our own judgement. */
export const FAULT_CAUSES: Record<Fault, CausesOfFault> = {
  'layers-part': {
    suspects: [
      ['late', 1],
      ['cool', 0.8],
      ['not-spritzed', 0.55],
      ['over-limit', 0.4],
    ],
    findings: { 'heat-weak-bond': 0.5, 'oils-over-cap': 0.4 },
    notRecorded: ['temperature'],
  },
  'melted-through': {
    suspects: [
      ['soon', 1],
      ['over-ceiling', 0.85],
      ['hot', 0.8],
    ],
    findings: { 'heat-breaks-through': 0.5, 'heat-hot-on-skin': 0.5, 'pour-over-ceiling': 0.6 },
    notRecorded: ['temperature'],
  },
  smeared: {
    suspects: [
      ['soon', 0.85],
      ['hot', 0.6],
    ],
    findings: { 'dye-bleeds': 0.9, 'heat-breaks-through': 0.4 },
    notRecorded: ['temperature'],
  },
  beads: {
    suspects: [
      ['freezer-long', 0.95],
      ['over-limit', 0.85],
      ['humid-room', 0.8],
      ['unwrapped', 0.75],
    ],
    findings: {
      'liquids-over-cap': 0.7,
      'heat-freezer-too-long': 0.7,
      'heat-freezer-dew': 0.6,
      'heat-freezer-tacky': 0.6,
      'heat-sweats': 0.55,
    },
    notRecorded: ['room'],
  },
  soft: {
    suspects: [
      ['over-limit', 1],
      ['out-early', 0.6],
    ],
    findings: {
      'oils-over-cap': 0.9,
      'liquids-over-cap': 0.9,
      'fragrance-over-cap': 0.8,
      'additions-over-cap': 0.8,
      'heat-never-out': 0.7,
    },
    notRecorded: [],
  },
  'grit-sank': {
    suspects: [
      ['hot', 1],
      ['over-ceiling', 0.9],
    ],
    findings: { 'heat-grain-moves': 0.75, 'solids-move': 0.7 },
    notRecorded: ['temperature'],
  },
  'petals-floated': {
    suspects: [
      ['hot', 0.9],
      ['over-ceiling', 0.8],
    ],
    findings: { 'heat-grain-moves': 0.75, 'solids-move': 0.7 },
    notRecorded: ['temperature'],
  },
  bubbles: {
    suspects: [
      ['not-spritzed', 0.7],
      ['cool', 0.5],
    ],
    findings: { 'heat-jug-too-thick': 0.4 },
    notRecorded: ['stirring'],
  },
  browned: {
    suspects: [['over-ceiling', 0.6]],
    findings: { 'vanillin-browns': 0.95, 'stabiliser-out-of-step': 0.85, 'botanical-browns': 0.7 },
    notRecorded: [],
  },
  'weak-scent': {
    suspects: [
      ['dose-short', 1],
      ['over-ceiling', 0.7],
      ['hot', 0.6],
    ],
    findings: {},
    notRecorded: ['temperature'],
  },
  specks: {
    suspects: [
      ['not-wetted', 0.9],
      ['dose-over', 0.5],
    ],
    findings: { overdone: 0.4, 'too-much-colour': 0.4 },
    notRecorded: ['stirring'],
  },
  bleeds: {
    suspects: [['dose-over', 1]],
    findings: { overdone: 0.85, 'too-much-colour': 0.85, 'dye-bleeds': 0.5 },
    notRecorded: ['stirring'],
  },
  rubbery: {
    suspects: [
      ['over-ceiling', 1],
      ['hot', 0.6],
      ['over-limit', 0.5],
    ],
    findings: { 'pour-over-ceiling': 0.8, 'oils-over-cap': 0.4 },
    notRecorded: ['temperature'],
  },
  'mold-warped': {
    suspects: [
      ['hot', 1],
      ['over-ceiling', 0.9],
    ],
    findings: { 'mold-too-hot': 0.95 },
    notRecorded: ['temperature'],
  },
  short: {
    suspects: [
      ['base-short', 1],
      ['no-allowance', 0.8],
    ],
    findings: { 'usual-mold': 0.5 },
    notRecorded: [],
  },
  broke: {
    suspects: [
      ['out-early', 1],
      ['stuck', 0.8],
      ['over-limit', 0.4],
    ],
    findings: { 'heat-never-out': 0.6 },
    notRecorded: [],
  },
  'loose-piece': {
    suspects: [
      ['not-spritzed', 0.85],
      ['cool', 0.6],
      ['late', 0.5],
    ],
    findings: { 'embed-floats': 0.5 },
    notRecorded: ['temperature'],
  },
};
