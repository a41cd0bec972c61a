import type { Use } from '../plan/plan';
import type { SheetLine } from '../plan/sheet';
import { doseLines } from './doseLines';
import type { Check, Severity } from './finding';

/** Common practice, no source: what has no place on hair or in a face bar. */
const UNFIT = {
  'hair-salt': 'Salt dries hair out and takes the lather.',
  'hair-botanical': 'Petals and leaves stay hanging in hair.',
  'hair-grit': 'Grit does not rinse out of hair.',
  'hair-glitter': 'Glitter does not rinse out of hair.',
  'face-glitter': 'Glitter gets into eyes.',
  'face-salt': 'Salt stings in eyes and small cuts.',
  'face-fragrance': 'For a face, without fragrance is the safe choice.',
} as const;
type Unfit = keyof typeof UNFIT;
const CODES = Object.keys(UNFIT) as Unfit[];

/** Something that does not suit what the bar is for. */
export const unfitForUse: Check = {
  code: 'unfit-for-use',

  run: (sheet) =>
    doseLines(sheet).flatMap(({ line, pourIndex }) =>
      unfitFor(sheet.use, line).map((why) => ({
        code: unfitForUse.code,
        severity: (why === 'face-fragrance' ? 'note' : 'caution') as Severity,
        pourIndex,
        doseIndexes: [line.doseIndex],
        about: line.material.name,
        figures: { why: CODES.indexOf(why) },
        assumed: false,
        mend: [{ edit: 'remove-dose' as const, pourIndex, doseIndex: line.doseIndex }],
      })),
    ),

  say({ about, figures: { why = 0 } }) {
    const code = CODES[why] ?? 'hair-salt';
    return {
      title: `${about} does not suit a ${code.startsWith('hair') ? 'bar for hair' : 'face bar'}`,
      reason: UNFIT[code],
      mendLabel: 'Take it out',
    };
  },
};

function unfitFor(use: Use, { material, blend }: SheetLine): Unfit[] {
  const kind = material.kind === 'additive' ? material.role : material.kind;
  const parts = [
    ...(use === 'hair' || use === 'head-to-toe' ? ['hair'] : []),
    ...(use === 'face' || use === 'head-to-toe' ? ['face'] : []),
  ];
  // A bar for everything is judged as one for hair first, so that nothing is said twice.
  const found = parts.map((part) => `${part}-${kind}`).filter((code): code is Unfit => code in UNFIT);
  if (use === 'head-to-toe' && blend === null)
    return found.filter((code) => code !== 'face-fragrance').slice(0, 1);
  return found.filter((code) => code !== 'face-fragrance' || use === 'face').slice(0, 1);
}
