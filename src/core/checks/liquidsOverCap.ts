import { liquidsCap } from '../materials/defaults';
import type { SheetLine } from '../plan/sheet';
import { capCheck } from './capCheck';

/** More water, honey and glycerin than the base takes up. */
export const liquidsOverCap = capCheck({
  code: 'liquids-over-cap',
  counts: isLiquid,
  cap: liquidsCap,
  fixes: true,
});

function isLiquid({ material, wets }: SheetLine): boolean {
  if (material.kind === 'dispersant') return wets || !material.leaves;
  return material.kind === 'additive' && (material.role === 'humectant' || material.role === 'liquid');
}
