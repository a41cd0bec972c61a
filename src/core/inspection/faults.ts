/** What can be seen, felt or smelt of a bar that isn't as it should be. Common practice, no source. */
export const FAULTS = [
  'layers-part',
  'melted-through',
  'smeared',
  'beads',
  'soft',
  'grit-sank',
  'petals-floated',
  'bubbles',
  'browned',
  'weak-scent',
  'specks',
  'bleeds',
  'rubbery',
  'mold-warped',
  'short',
  'broke',
  'loose-piece',
] as const;
export type Fault = (typeof FAULTS)[number];
