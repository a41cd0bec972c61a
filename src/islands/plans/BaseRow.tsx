import type { SheetPour } from '../../core/plan/sheet';
import { showMassFigure, showPercent } from '../../core/units/showQuantity';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';
import { useNewRecord } from './useNewRecord';

interface Props {
  baseId: string;
  sheetPour: SheetPour | undefined;
  onBase(baseId: string): void;
}

/** The base of a pour, and how much of it the pour takes. */
export function BaseRow({ baseId, sheetPour, onBase }: Props) {
  const { materials } = usePlanPage();
  const { newOption, newForm, choosing } = useNewRecord({ what: 'base', onMade: onBase });
  const showing = useShowing();
  return (
    <tr>
      <td colSpan={2}>
        <label className="flex items-center gap-2">
          <span className="quiet text-xs">Base</span>
          <select
            className="select select-sm w-full pointer-coarse:min-h-11 font-semibold"
            value={baseId}
            onChange={({ target }) => choosing(onBase)(target.value)}
          >
            {materials
              .filter(({ id, kind, archived }) => kind === 'base' && (!archived || id === baseId))
              .map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            {newOption}
          </select>
        </label>
        {newForm}
      </td>
      <td className="text-right text-lg font-semibold">
        {sheetPour ? showMassFigure(sheetPour.baseG, showing) : '–'}
      </td>
      <td className="text-right">{sheetPour ? '100 %' : '–'}</td>
      <td className="text-right">
        {sheetPour ? showPercent(sheetPour.baseG / sheetPour.jugG, showing.locale) : '–'}
      </td>
      <td />
    </tr>
  );
}
