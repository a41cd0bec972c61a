import type { Difference } from '../../../core/plan/differences';
import { pourLetter } from '../../../core/plan/plan';

const FIELD_NAMES: Record<string, string> = {
  name: 'Name',
  use: 'For',
  moldId: 'Mold',
  secondMoldId: 'Second mold',
  pieces: 'Pieces',
  batch: 'How much',
  fillFraction: 'Fill',
  jugLossFraction: 'Stays in jug',
  leastMeltG: 'Melts at least',
  note: 'Note',
  baseId: 'base',
  size: 'size',
  way: 'how it is poured',
  embeds: 'what is set in',
  when: 'when it is poured',
  packaging: 'Packaging',
  seen: 'Marked as seen',
  making: 'Where and when it is made',
  remelt: 'what is melted again',
};

/** What of a plan a difference is in: “Pour B: dose 2, text”. */
export function placeName({ path: [field, pour, inPour, dose, ofDose] }: Pick<Difference, 'path'>): string {
  if (field !== 'pours') return FIELD_NAMES[String(field)] ?? String(field);
  const letter = pourLetter(Number(pour));
  if (inPour !== 'doses') return `Pour ${letter}: ${FIELD_NAMES[String(inPour)] ?? 'all of it'}`;
  const what = ofDose === 'materialId' ? 'material' : ofDose === 'means' ? 'meaning' : 'text';
  return `Pour ${letter}: dose ${Number(dose) + 1}${ofDose === undefined ? '' : `, ${what}`}`;
}
