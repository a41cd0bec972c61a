import type { Mold } from '../molds/mold';
import { hasMold } from '../molds/noMold';
import type { SizeFault } from '../plan/sizeFault';
import type { Check, Found, Severity } from './finding';
import { PLAIN } from './plain';

const SEVERITY: Record<SizeFault['code'], Severity> = {
  'over-brim': 'stop',
  'over-fill': 'caution',
  'below-fill': 'note',
  'nothing-left': 'stop',
  'needs-shape': 'stop',
  'already-higher': 'stop',
  'no-such-disc': 'stop',
  spills: 'stop',
  'embeds-outgrow': 'stop',
};

/** Sizes of pours that contradict each other or the mold. */
export const pourSizes: Check = (sheet) => sizeFindings(sheet.sizeFaults, sheet);

export function sizeFindings(faults: readonly SizeFault[], of: { mold: Pick<Mold, 'id'> }): Found[] {
  return faults.map(({ code: fault, pourIndex, offMl, offMm }) =>
    fault === 'needs-shape' && !hasMold(of)
      ? { ...PLAIN, code: 'needs-mold', severity: 'stop', pourIndex, about: '' }
      : { ...PLAIN, code: 'pour-sizes', severity: SEVERITY[fault], pourIndex, fault, offMl, offMm },
  );
}
