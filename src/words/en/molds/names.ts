import type { MEASURED_BY, MOLD_MATERIALS, Shape } from '../../../core/molds/mold';

/** What the codes of the mold book are called. */
export const SHAPE_NAMES: Record<Shape['kind'], string> = {
  box: 'Box',
  cylinder: 'Cylinder',
  frustum: 'Cup, wider at the top or at the floor',
  hemisphere: 'Half ball',
  sphere: 'Ball in two halves',
  'half-cylinder': 'Log, half a cylinder',
  revolved: 'Profile turned round its middle',
  'drawn-out': 'Profile drawn out along a length',
  'water-steps': 'Measured in steps of water',
  model: 'From a model file (STL)',
  'capacity-only': 'Not known, capacity only',
};

export const MEASURED_NAMES: Record<(typeof MEASURED_BY)[number] | 'usual', string> = {
  water: 'Water, by weight or jug',
  base: 'Melted base, weighed',
  'one-piece': 'One piece, weighed',
  dimensions: 'Its dimensions',
  'water-steps': 'Water in steps',
  model: 'Its model file',
  usual: 'Nobody: usual, not yours',
};

export const MADE_OF_NAMES: Record<(typeof MOLD_MATERIALS)[number], string> = {
  silicone: 'Silicone',
  'thin-plastic': 'Thin plastic',
  wood: 'Lined wood',
  'food-container': 'Food container',
  steel: 'Steel',
  unknown: 'Not known',
};
