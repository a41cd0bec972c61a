import type { Base } from '../materials/base';
import { additionsCap, gritCounts } from '../materials/defaults';
import type { SheetLine } from '../plan/sheet';
import { capCheck } from './capCheck';

/** More of everything together than the base bears; grit is counted apart where the base's cap is said so. */
export const additionsOverCap = capCheck({
  code: 'additions-over-cap',
  counts: (line, base) => !isApart(line, base),
  cap: additionsCap,
  fixes: false,
  apart: isApart,
});

function isApart({ material }: SheetLine, base: Base): boolean {
  return !gritCounts(base) && material.kind === 'additive' && material.role === 'grit';
}
