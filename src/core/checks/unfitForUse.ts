import type { Use } from '../materials/fields';
import type { SheetLine } from '../plan/sheet';
import { doseLines } from './doseLines';
import type { Check, Found, FoundOf } from './finding';

/** Common practice, no source: what has no place on hair or in a face bar. */
const UNFIT = [
  'hair-salt',
  'hair-botanical',
  'hair-grit',
  'hair-glitter',
  'face-glitter',
  'face-salt',
  'face-fragrance',
] as const satisfies readonly FoundOf<'unfit-for-use'>['why'][];
type Unfit = (typeof UNFIT)[number];

/** Something that does not suit what the bar is for. */
export const unfitForUse: Check = (sheet) =>
  doseLines(sheet).flatMap(({ line, pourIndex, doseIndexes, takeOut }) =>
    unfitFor(sheet.use, line).map(
      (why): Found => ({
        code: 'unfit-for-use',
        severity: why === 'face-fragrance' ? 'note' : 'caution',
        pourIndex,
        doseIndexes,
        about: line.material.name,
        why,
        assumed: false,
        fix: takeOut,
      }),
    ),
  );

function unfitFor(use: Use, { material, blend }: SheetLine): Unfit[] {
  const kind = material.kind === 'additive' ? material.role : material.kind;
  const parts = [
    ...(use === 'hair' || use === 'head-to-toe' ? ['hair'] : []),
    ...(use === 'face' || use === 'head-to-toe' ? ['face'] : []),
  ];
  // A bar for everything is judged as one for hair first, so that nothing is said twice.
  const found = parts.flatMap((part) => UNFIT.filter((unfit) => unfit === `${part}-${kind}`));
  if (use === 'head-to-toe' && blend === null)
    return found.filter((code) => code !== 'face-fragrance').slice(0, 1);
  return found.filter((code) => code !== 'face-fragrance' || use === 'face').slice(0, 1);
}
