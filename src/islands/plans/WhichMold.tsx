import { piecesMadeOf, wholePiecesOf } from '../../core/molds/filled';
import type { Mold } from '../../core/molds/mold';
import { intoMold } from '../../core/plan/intoMold';
import type { Plan } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { showPercent, showVolume } from '../../core/units/showQuantity';
import { counted } from '../../words/en/plural';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

/** How many of each mold of the book a plan without one would fill, each to be taken. */
export default function WhichMold({ plan, sheet }: { plan: Plan; sheet: Sheet | null }) {
  const { molds, edit } = usePlanPage();
  const { system, locale } = useShowing();
  if (!sheet) return <p className="quiet text-sm">None until the stop is mended.</p>;
  const ml = sheet.pours.reduce((sum, { displacedMl }) => sum + displacedMl, sheet.totals.intoMoldMl);
  return (
    <>
      <p className="quiet mb-2 text-xs">What {showVolume(ml, locale)} would fill, each as full as usual</p>
      <ul className="flex flex-col gap-1">
        {molds.map((mold) => (
          <li key={mold.id}>
            <button
              type="button"
              className="btn btn-secondary h-auto min-h-11 w-full flex-col items-start gap-0 py-1 text-left font-normal"
              onClick={() => edit(intoMold(plan, mold, sheet, system), 'mold')}
            >
              <strong>{mold.name}</strong>
              <span className="text-xs">{fillWords(mold, ml, locale)}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

function fillWords(mold: Mold, ml: number, locale: string): string {
  const fills = ml / (mold.capacityMl * mold.usualFillFraction);
  if (fills < 1) return `one cavity, filled to ${showPercent(ml / mold.capacityMl, locale, 0)}`;
  const whole = wholePiecesOf({ mold }, fills);
  const all = piecesMadeOf({ mold }, fills);
  const rounds = Math.ceil(fills / (mold.cavities * mold.copies));
  const pieces = counted(whole, 'whole piece', 'whole pieces');
  return `${pieces}${all > whole ? ' and a part' : ''}${rounds > 1 ? `, ${rounds} fillings` : ''}`;
}
