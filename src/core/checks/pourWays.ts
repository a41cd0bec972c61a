import type { Check, Found, FoundOf, Severity } from './finding';
import { PLAIN } from './plain';

type Fault = FoundOf<'pour-ways'>['fault'];
const SEVERITY: Record<Fault, Severity> = {
  'nothing-beside': 'stop',
  'dropped-last': 'caution',
  'dye-pockets': 'note',
  'trimmed-between': 'stop',
  'ball-at-once': 'note',
  'two-jugs': 'note',
};

/** A half that is filled to so much of its height is nearly full. Our own assumption. */
const HALF_FULL = 0.8;
/** How far below the seam the first half is left. Our own assumption. */
const NEARLY_FULL_MM = 2;

/** Ways of pouring that do not go with the other pours, and what to look out for. Common practice, no source. */
export const pourWays: Check = ({ pours, mold: { shape } }) => {
  const last = pours.length - 1;
  const radius = shape.kind === 'sphere' ? shape.diameterMm / 2 : null;
  return pours.flatMap(({ way, fromMm, toMm }, pourIndex): Found[] => {
    const faults: Fault[] = [];
    if (way.besideShare !== undefined) faults.push(pourIndex === 0 ? 'nothing-beside' : 'two-jugs');
    if (way.dropped) faults.push(pourIndex === last ? 'dropped-last' : 'dye-pockets');
    if (way.trimmed && pourIndex !== 0 && pours.slice(pourIndex + 1).some((other) => !other.way.trimmed))
      faults.push('trimmed-between');
    // A half is nearly full before the other is clamped on, whatever the pour that does it.
    if (
      radius !== null &&
      fromMm !== null &&
      toMm !== null &&
      toMm > radius + 0.05 &&
      fromMm < radius * HALF_FULL - 0.05
    )
      faults.push('ball-at-once');
    return faults.map((fault) => ({
      ...PLAIN,
      code: 'pour-ways',
      severity: SEVERITY[fault],
      pourIndex,
      fault,
      nearlyMm: radius === null ? null : radius - NEARLY_FULL_MM,
    }));
  });
};
