import { oilsCap } from '../materials/defaults';
import { capCheck } from './capCheck';

/** More oils and butters than the base bears. */
export const oilsOverCap = capCheck({
  code: 'oils-over-cap',
  counts: ({ material }) => material.kind === 'additive' && material.role === 'oil',
  cap: oilsCap,
  fixes: true,
});
