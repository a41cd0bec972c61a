import type { Base } from '../materials/base';
import { additionsCap } from '../materials/defaults';
import type { SheetLine } from '../plan/sheet';
import { capCheck } from './capCheck';

/** More of everything together than the base bears; grit is counted apart in soap bases. */
export const additionsOverCap = capCheck({
  code: 'additions-over-cap',
  what: 'Additions',
  reason: 'All together they keep the bar from setting firm. Take some out.',
  counts: (line, base) => !isApart(line, base),
  cap: additionsCap,
  mends: false,
  apart: { what: 'Grit', counts: isApart },
});

function isApart({ material }: SheetLine, base: Base): boolean {
  return base.baseKind !== 'syndet' && material.kind === 'additive' && material.role === 'grit';
}
