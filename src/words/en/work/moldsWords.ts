import { cavitiesFilled, moldsFilled } from '../../../core/molds/filled';
import type { Sheet } from '../../../core/plan/sheet';
import { fillsOfRound } from '../../../core/work/rounds';
import { counted } from '../plural';

/** Into which molds a round is poured, where there are two; nothing where one takes it all. */
export function moldsWords(
  sheet: Pick<Sheet, 'fills' | 'mold' | 'secondMold'>,
  { round }: { round: number },
): string {
  const fills = fillsOfRound(sheet, round);
  const [mold, secondMold] = moldsFilled(sheet, fills);
  if (!mold || !secondMold) return '';
  const { first, second } = cavitiesFilled(sheet, fills);
  const cavities = counted(Math.ceil(first), 'cavity', 'cavities');
  return `Into ${cavities} of ${mold.name}, then ${Math.ceil(second)} of ${secondMold.name}.`;
}
