import { ChevronRight } from 'lucide-react';
import { useId, useState } from 'react';
import { type OmbreFault, type OmbreWish, ombrePlan } from '../../../core/plan/ombrePlan';
import { pourLetter } from '../../../core/plan/plan';
import { showNumber } from '../../../core/units/showQuantity';
import { useShowing } from '../../shared/showing';
import { usePlanPage } from '../planContext';
import type { PourPanelProps } from './pourPanel';

/** Fine enough for colour where no scale is entered. Our own assumption. */
const USUAL_STEP_G = 0.01;

/** Pours from pale to deep in equal visible steps, in what can be counted or weighed. */
export function OmbreForm({ file }: PourPanelProps) {
  const { rules, editShown } = usePlanPage();
  const showing = useShowing();
  const id = useId();
  const { plan, materials } = file;
  const colorants = materials.filter(({ kind, archived }) => kind === 'colorant' && !archived);
  const used = plan.pours.flatMap(({ doses }) => doses.map(({ materialId }) => materialId));
  const [colorantId, setColorantId] = useState(
    () => (colorants.find((each) => used.includes(each.id)) ?? colorants[0])?.id ?? '',
  );
  const [texts, setTexts] = useState({ first: '2 drops', last: '20 drops' });
  const [range, setRange] = useState({ fromIndex: 0, toIndex: plan.pours.length - 1 });
  const [oneJug, setOneJug] = useState(true);
  const [byDrops, setByDrops] = useState(true);
  if (colorants.length === 0) return null;
  const stepG = Math.min(USUAL_STEP_G * 10, ...rules.scales.map((scale) => scale.stepG)) || USUAL_STEP_G;
  const toIndex = Math.min(range.toIndex, plan.pours.length - 1);
  const wish: OmbreWish = {
    ...texts,
    colorantId,
    fromIndex: range.fromIndex,
    toIndex,
    oneJug,
    in: byDrops ? 'drops' : { stepG },
  };
  const made = ombrePlan(file, wish);

  const text = (key: 'first' | 'last', label: string) => (
    <label className="flex flex-col">
      <span className="quiet text-xs">{label}</span>
      <input
        className="input input-sm pointer-coarse:min-h-11 w-full"
        value={texts[key]}
        maxLength={40}
        autoComplete="off"
        aria-describedby={`${id}-says`}
        onChange={({ target }) => setTexts({ ...texts, [key]: target.value })}
      />
    </label>
  );
  const pour = (key: 'fromIndex' | 'toIndex', label: string) => (
    <label className="flex flex-col">
      <span className="quiet text-xs">{label}</span>
      <select
        className="select select-sm pointer-coarse:min-h-11 w-full"
        value={key === 'toIndex' ? toIndex : range.fromIndex}
        onChange={({ target }) => setRange({ ...range, [key]: Number(target.value) })}
      >
        {plan.pours.map((_, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a pour is its place
          <option key={index} value={index}>
            Pour {pourLetter(index)}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center text-sm font-semibold">
        <ChevronRight size={18} className="chevron mr-1" aria-hidden="true" />
        Ombré ladder
      </summary>
      <div className="grid grid-cols-2 items-end gap-x-3 gap-y-1 text-sm sm:grid-cols-4">
        <label className="col-span-2 flex flex-col">
          <span className="quiet text-xs">Colorant</span>
          <select
            className="select select-sm pointer-coarse:min-h-11 w-full"
            value={colorantId}
            onChange={({ target }) => setColorantId(target.value)}
          >
            {colorants.map((each) => (
              <option key={each.id} value={each.id}>
                {each.name}
              </option>
            ))}
          </select>
        </label>
        {text('first', 'Palest dose')}
        {text('last', 'Deepest dose')}
        {pour('fromIndex', 'Palest')}
        {pour('toIndex', 'Deepest')}
        <label className="flex min-h-11 cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={oneJug}
            onChange={({ target }) => setOneJug(target.checked)}
          />
          All from one jug
        </label>
        <label className="flex min-h-11 cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={byDrops}
            onChange={({ target }) => setByDrops(target.checked)}
          />
          In whole drops
        </label>
      </div>
      <div id={`${id}-says`} aria-live="polite" className="mt-1 text-sm">
        {made.success ? (
          <ol className="flex flex-wrap gap-3">
            {made.data.rungs.map(({ pourIndex, add, hex }) => (
              <li key={pourIndex} className="flex items-center gap-2">
                <span
                  className="border-primary inline-block size-7 rounded border"
                  style={{ background: hex }}
                  aria-hidden="true"
                />
                {pourLetter(pourIndex)} {oneJug && pourIndex > range.fromIndex ? '+ ' : ''}
                {byDrops
                  ? `${add} ${add === 1 ? 'drop' : 'drops'}`
                  : `${showNumber(add, 2, showing.locale)} g`}
              </li>
            ))}
          </ol>
        ) : (
          <p className="text-error">{FAULTS[made.error]}</p>
        )}
      </div>
      <button
        type="button"
        className="btn btn-sm btn-secondary mt-2 min-h-11"
        disabled={!made.success}
        onClick={() => made.success && editShown(made.data.plan, `ombre ${Date.now()}`)}
      >
        Set these doses
      </button>
    </details>
  );
}

const FAULTS: Record<OmbreFault, string> = {
  'no-colorant': 'Choose a colorant of the shelf.',
  'too-few-pours': 'An ombré needs two pours at least: the deepest after the palest.',
  'first-unread': 'The palest dose can’t be read. Write it like 2 drops, 0.05 % or 0.2 g.',
  'last-unread': 'The deepest dose can’t be read. Write it like 20 drops, 0.4 % or 1.5 g.',
  'not-deeper': 'The deepest dose must be stronger than the palest. Raise it, or lower the other.',
  'no-sheet': 'These pours have no weights yet. Mend their sizes first.',
};
