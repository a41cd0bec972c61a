import { SIZE_FAULTS, type SizeFault } from '../plan/pourVolumes';
import { type Showing, showNumber, showVolume } from '../units/showQuantity';
import type { Check, Finding, Severity } from './finding';

const SEVERITY: Record<SizeFault['code'], Severity> = {
  'over-brim': 'stop',
  'over-fill': 'caution',
  'below-fill': 'note',
  'nothing-left': 'stop',
  'needs-shape': 'stop',
  'already-higher': 'stop',
  'no-such-disc': 'stop',
  spills: 'stop',
  'embeds-outgrow': 'stop',
};

/** Sizes of pours that contradict each other or the mold. */
export const pourSizes: Check = {
  code: 'pour-sizes',
  run: (sheet) => sheet.sizeFaults.map(sizeFinding),

  say({ pourIndex, figures: { fault = 0, offMl = 0, offMm = -1 } }, showing) {
    const code = SIZE_FAULTS[fault] ?? 'over-brim';
    const pour = pourIndex === null ? 'The pours' : `Pour ${String.fromCharCode(65 + pourIndex)}`;
    return { ...WORDS[code](pour, offText(offMl, offMm, showing)), mendLabel: null };
  },
};

function offText(offMl: number, offMm: number, showing: Showing): string {
  const high = offMm > 0 ? `${showNumber(offMm, 1, showing.locale)} mm` : '';
  const wide = offMl > 0 ? `${showVolume(offMl, showing.locale)} a cavity` : '';
  return [high, wide].filter((text) => text !== '').join(', ');
}

const WORDS: Record<SizeFault['code'], (pour: string, off: string) => { title: string; reason: string }> = {
  'over-brim': (pour, off) => ({
    title: `${pour} would run over: ${off} too much`,
    reason: 'The cavity is drawn full to its brim. Make a pour smaller.',
  }),
  'over-fill': (_, off) => ({
    title: `The pours come to more than the fill: ${off} too much`,
    reason: 'They fit into the cavity, but stand higher than the plan’s fill says.',
  }),
  'below-fill': (_, off) => ({
    title: `The pours come to less than the fill: ${off} are left`,
    reason: 'Make one of them “rest”, or leave it so.',
  }),
  'nothing-left': (pour) => ({
    title: `${pour} has nothing left`,
    reason: 'The other pours take up all of the fill. Make one of them smaller.',
  }),
  'needs-shape': (pour) => ({
    title: `${pour} is said in millimetres, and the mold’s shape is not known`,
    reason: 'Enter its dimensions or water steps in the mold book, or size the pour in parts or by weight.',
  }),
  'already-higher': (pour) => ({
    title: `${pour} ends below where it begins`,
    reason: 'What lies under it stands higher already. Give it a greater height.',
  }),
  'no-such-disc': (pour) => ({
    title: `${pour}: this cavity has no disc of that diameter`,
    reason: 'A disc needs a round bottom that becomes so wide. Say the pour in mm or by weight.',
  }),
  spills: (pour, off) => ({
    title: `${pour} would run over the low edge: ${off} too much`,
    reason: 'A leaning mold holds less. Lean it less, or pour less while it leans.',
  }),
  'embeds-outgrow': (pour, off) => ({
    title: `What is set into ${pour.replace('Pour ', '')} takes more than its room: ${off} too much`,
    reason: 'There is no room left for base. Set in fewer or smaller pieces, or make the pour larger.',
  }),
};

export function sizeFinding({ code, pourIndex, offMl, offMm }: SizeFault): Finding {
  return {
    code: pourSizes.code,
    severity: SEVERITY[code],
    pourIndex,
    doseIndexes: [],
    about: code,
    figures: { fault: SIZE_FAULTS.indexOf(code), offMl, ...(offMm === null ? {} : { offMm }) },
    assumed: false,
    mend: null,
  };
}
