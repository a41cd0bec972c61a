import { lazy, Suspense, useState } from 'react';
import type { SheetPour } from '../../core/plan/sheet';
import { showMassFigure, showPercent } from '../../core/units/showQuantity';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

const NewRecord = lazy(() => import('./NewRecord'));

/** Chosen in the list to make what is not in it. */
const NEW = ' new';

interface Props {
  baseId: string;
  sheetPour: SheetPour | undefined;
  onBase(baseId: string): void;
}

/** The base of a pour, and how much of it the pour takes. */
export function BaseRow({ baseId, sheetPour, onBase }: Props) {
  const { materials, shelved } = usePlanPage();
  const [isMaking, setMaking] = useState(false);
  const showing = useShowing();
  return (
    <tr>
      <td colSpan={2}>
        <label className="flex items-center gap-2">
          <span className="quiet text-xs">Base</span>
          <select
            className="select select-sm w-full pointer-coarse:min-h-11 font-semibold"
            value={baseId}
            onChange={({ target }) => (target.value === NEW ? setMaking(true) : onBase(target.value))}
          >
            {materials
              .filter(({ id, kind, archived }) => kind === 'base' && (!archived || id === baseId))
              .map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            <option value={NEW}>A new base …</option>
          </select>
        </label>
        {isMaking && (
          <Suspense>
            <NewRecord
              what="base"
              onMade={(base) => {
                shelved(base);
                onBase(base.id);
              }}
              onClose={() => setMaking(false)}
            />
          </Suspense>
        )}
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
