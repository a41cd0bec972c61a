import { pourLetter } from '../../../core/plan/plan';
import { showMass } from '../../../core/units/showQuantity';
import { FigureField } from '../../shared/FigureField';
import { useShowing } from '../../shared/showing';
import { usePlanPage } from '../planContext';
import { withPour } from '../planEdits';
import type { PourPanelProps } from './pourPanel';

const SHARE = { unit: '%', least: 1, most: 100 };

/** So much of a pour's base comes out of the scrap jar and is melted again. */
export function RemeltFields({ file: { plan }, pourIndex, sheet }: PourPanelProps) {
  const { materials, editShown } = usePlanPage();
  const showing = useShowing();
  const pour = plan.pours[pourIndex];
  const remelt = pour?.remelt;
  const jars = materials.filter(
    ({ id, kind, archived }) => kind === 'scrap' && (!archived || id === remelt?.scrapId),
  );
  if (pour?.way?.sameJug) return null;
  if (jars.length === 0 && !remelt) return null;
  const set = (next: typeof remelt, about: string) =>
    editShown(
      withPour(plan, pourIndex, ({ remelt: _, ...rest }) => (next ? { ...rest, remelt: next } : rest)),
      `${about} of ${pourIndex}`,
    );
  const figures = sheet?.pours[pourIndex];
  return (
    <div className="flex flex-wrap items-end gap-3 text-sm">
      <label className="flex flex-col">
        <span className="quiet text-xs">Melted again in {pourLetter(pourIndex)}, from a scrap jar</span>
        <select
          className="select select-sm min-w-56 pointer-coarse:min-h-11"
          value={remelt?.scrapId ?? ''}
          onChange={({ target: { value } }) =>
            set(value === '' ? undefined : { scrapId: value, ofBase: remelt?.ofBase ?? 0.3 }, 'jar')
          }
        >
          <option value="">Nothing: fresh base</option>
          {remelt && !jars.some(({ id }) => id === remelt.scrapId) && (
            <option value={remelt.scrapId}>No longer there</option>
          )}
          {jars.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {remelt && (
        <FigureField
          label="Of the base"
          rule={SHARE}
          value={Number((remelt.ofBase * 100).toFixed(4))}
          onChange={(share) => set({ ...remelt, ofBase: share / 100 }, 'share of the jar')}
        />
      )}
      {remelt && figures && (
        <span className="quiet pb-2 text-xs">
          {showMass(figures.baseG * remelt.ofBase, showing)} out of the jar; 100 % is all of it
        </span>
      )}
    </div>
  );
}
