import type { Fault } from '../../../core/inspection/faults';

/** What is seen, in two or three words. */
export const FAULT_NAMES: Record<Fault, string> = {
  'layers-part': 'Layers part',
  'melted-through': 'Melted through',
  smeared: 'Colours smeared',
  beads: 'Beads of moisture',
  soft: 'Soft, did not set',
  'grit-sank': 'Grit on one face',
  'petals-floated': 'Petals all at the top',
  bubbles: 'Bubbles',
  browned: 'Turned brown',
  'weak-scent': 'Weak scent',
  specks: 'Specks of colour',
  bleeds: 'Colours the lather',
  rubbery: 'Rubbery or smelly',
  'mold-warped': 'Mold warped',
  short: 'Too light or short',
  broke: 'Broke coming out',
  'loose-piece': 'A piece came loose',
};
