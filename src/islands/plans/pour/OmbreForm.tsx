import { ChevronRight } from 'lucide-react';
import { useId, useState } from 'react';
import { type OmbreFault, type OmbreRung, type OmbreWish, ombrePlan } from '../../../core/plan/ombrePlan';
import { pourLetter } from '../../../core/plan/plan';
import { showNumber } from '../../../core/units/showQuantity';
import { counted } from '../../../words/en/plural';
import { useShowing } from '../../shared/showing';
import { Tick } from '../../shared/Tick';
import { usePlanPage } from '../planContext';
import type { PourPanelProps } from './pourPanel';

/** Fine enough for colour where no scale is entered. Our own assumption. */
const USUAL_STEP_G = 0.01;

/** Pours from pale to deep in equal visible steps, in what can be counted or weighed. */
export function OmbreForm({ file }: PourPanelProps) {
  const { rules, editShown } = usePlanPage();
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
        <DoseText
          label="Palest dose"
          text={texts.first}
          saysId={`${id}-says`}
          onChange={(first) => setTexts({ ...texts, first })}
        />
        <DoseText
          label="Deepest dose"
          text={texts.last}
          saysId={`${id}-says`}
          onChange={(last) => setTexts({ ...texts, last })}
        />
        <PourSelect
          label="Palest"
          pours={plan.pours.length}
          value={range.fromIndex}
          onChange={(fromIndex) => setRange({ ...range, fromIndex })}
        />
        <PourSelect
          label="Deepest"
          pours={plan.pours.length}
          value={toIndex}
          onChange={(toIndex) => setRange({ ...range, toIndex })}
        />
        <Tick label="All from one jug" isOn={oneJug} onChange={setOneJug} />
        <Tick label="In whole drops" isOn={byDrops} onChange={setByDrops} />
      </div>
      <div id={`${id}-says`} aria-live="polite" className="mt-1 text-sm">
        {made.success ? (
          <Rungs rungs={made.data.rungs} addedFrom={oneJug ? range.fromIndex : null} byDrops={byDrops} />
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

interface TextProps {
  label: string;
  text: string;
  saysId: string;
  onChange(text: string): void;
}

function DoseText({ label, text, saysId, onChange }: TextProps) {
  return (
    <label className="flex flex-col">
      <span className="quiet text-xs">{label}</span>
      <input
        className="input input-sm pointer-coarse:min-h-11 w-full"
        value={text}
        maxLength={40}
        autoComplete="off"
        aria-describedby={saysId}
        onChange={({ target }) => onChange(target.value)}
      />
    </label>
  );
}

interface SelectProps {
  label: string;
  pours: number;
  value: number;
  onChange(pourIndex: number): void;
}

function PourSelect({ label, pours, value, onChange }: SelectProps) {
  return (
    <label className="flex flex-col">
      <span className="quiet text-xs">{label}</span>
      <select
        className="select select-sm pointer-coarse:min-h-11 w-full"
        value={value}
        onChange={({ target }) => onChange(Number(target.value))}
      >
        {Array.from({ length: pours }, (_, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a pour is its place
          <option key={index} value={index}>
            Pour {pourLetter(index)}
          </option>
        ))}
      </select>
    </label>
  );
}

interface RungProps {
  rungs: readonly OmbreRung[];
  /** Pours after this one have their doses added to what is in the jug; null where each has a jug of its own. */
  addedFrom: number | null;
  byDrops: boolean;
}

/** The colour of each pour, and what is dosed for it. */
function Rungs({ rungs, addedFrom, byDrops }: RungProps) {
  const { locale } = useShowing();
  return (
    <ol className="flex flex-wrap gap-3">
      {rungs.map(({ pourIndex, add, hex }) => (
        <li key={pourIndex} className="flex items-center gap-2">
          <span
            className="border-primary inline-block size-7 rounded border"
            style={{ background: hex }}
            aria-hidden="true"
          />
          {pourLetter(pourIndex)} {addedFrom !== null && pourIndex > addedFrom ? '+ ' : ''}
          {byDrops ? counted(add, 'drop', 'drops') : `${showNumber(add, 2, locale)} g`}
        </li>
      ))}
    </ol>
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
