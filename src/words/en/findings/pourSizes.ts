import type { FoundOf } from '../../../core/checks/finding';
import { pourLetter } from '../../../core/plan/plan';
import { showNumber, showVolume } from '../../../core/units/showQuantity';
import type { Describe, Described } from './described';

type Words = Omit<Described, 'fixLabel'>;

const WORDS: Record<FoundOf<'pour-sizes'>['fault'], (pour: string, off: string) => Words> = {
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

export const pourSizes: Describe<'pour-sizes'> = ({ pourIndex, fault, offMl, offMm }, { locale }) => {
  const pour = pourIndex === null ? 'The pours' : `Pour ${pourLetter(pourIndex)}`;
  const high = offMm !== null && offMm > 0 ? [`${showNumber(offMm, 1, locale)} mm`] : [];
  const wide = offMl > 0 ? [`${showVolume(offMl, locale)} a cavity`] : [];
  return { ...WORDS[fault](pour, [...high, ...wide].join(', ')), fixLabel: null };
};
