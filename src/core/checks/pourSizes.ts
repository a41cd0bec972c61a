import type { SizeFault } from '../plan/pourVolumes';
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
export const pourSizes: Check = (sheet) => sheet.sizeFaults.map(sizeFinding);

export function sizeFinding({ code: fault, pourIndex, offMl, offMm }: SizeFault): Found {
  return { ...PLAIN, code: 'pour-sizes', severity: SEVERITY[fault], pourIndex, fault, offMl, offMm };
}
