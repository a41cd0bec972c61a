import type { Task } from '../../../core/work/task';

/** A task's kind in a word, as a block of the strip says it. */
export const KIND_NAMES = {
  'weigh-base': 'Weigh',
  melt: 'Melt',
  'weigh-dose': 'Stir in',
  'stir-in': 'Stir in',
  lay: 'Lay',
  inclusions: 'Set in',
  cool: 'Cools',
  rewarm: 'Rewarm',
  spritz: 'Spritz',
  pour: 'Pour',
  skin: 'Skin',
  freezer: 'Freezer',
  set: 'Sets',
  unmold: 'Unmold',
  wash: 'Wipe',
  'cut-bars': 'Cut',
  harden: 'Hardens',
  wrap: 'Wrap',
} as const satisfies Record<Task['kind'], string>;
