import { liquidsCap } from '../materials/defaults';
import type { SheetLine } from '../plan/sheet';
import { capCheck } from './capCheck';

/** More water, honey and glycerin than the base takes up. */
export const liquidsOverCap = capCheck({
  code: 'liquids-over-cap',
  what: 'Liquids',
  reason: 'Too much water, honey or glycerin leaves a sticky bar that sweats.',
  counts: isLiquid,
  cap: liquidsCap,
  mends: true,
});

function isLiquid({ material, wets }: SheetLine): boolean {
  if (material.kind === 'dispersant') return wets || !material.leaves;
  return material.kind === 'additive' && (material.role === 'humectant' || material.role === 'liquid');
}
