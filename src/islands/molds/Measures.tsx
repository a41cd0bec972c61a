import { X } from 'lucide-react';
import { useId, useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import type { Base } from '../../core/materials/base';
import { baseDensity } from '../../core/materials/defaults';
import { densityFromCavity, measuredWays } from '../../core/molds/measure';
import type { Measure } from '../../core/molds/mold';
import { parseQuantity } from '../../core/units/parseQuantity';
import { showNumber, showPercent, showVolume } from '../../core/units/showQuantity';
import { writeFigure } from '../../core/units/writeQuantity';
import { measuresText } from '../../formats/records/moldText';
import { MEASURED_NAMES } from '../../words/en/molds/names';
import { showDay } from '../../words/en/showTime';
import { explainQuantityFault } from '../../words/en/units/quantityFault';
import { EnterField } from '../shared/EnterField';
import { useShowing } from '../shared/showing';
import type { TextForm } from '../shared/textForm';
import { today } from '../shared/today';

/** A mold's texts name nothing else. */
export const NO_NAMES = { decimal: 'either', idOf: () => undefined, nameOf: (id: string) => id } as const;
const WAYS = {
  'water-weight': 'Water, weighed',
  'water-jug': 'Water, by the measuring jug',
  base: 'Melted base, weighed',
  'one-piece': 'One finished piece, weighed',
} as const;
type Way = keyof typeof WAYS;

/** Guided measuring: what was weighed or poured becomes the capacity, and is remembered with its day. */
export function Measures({ bases }: { bases: Base[] }) {
  const showing = useShowing();
  const { control, setValue } = useFormContext<TextForm>();
  const text = useWatch({ control, name: 'texts.measures' }) ?? '';
  const read = measuresText.read(text, NO_NAMES);
  const measures = read.success ? read.data : [];
  const { ways, disagree } = measuredWays(measures);
  const keep = (next: Measure[]) =>
    setValue('texts.measures', measuresText.write(next, NO_NAMES), { shouldDirty: true });
  const take = (by: Measure['by'], capacityMl: number) => {
    setValue('texts.capacityMl', writeFigure(capacityMl, 2), { shouldDirty: true });
    setValue('texts.measuredBy', by, { shouldDirty: true });
  };

  return (
    <section className="border-base-300 rounded-lg border p-3" aria-label="Measuring">
      <h3 className="font-semibold">Measuring</h3>
      <p className="quiet text-xs">
        Fill one cavity and weigh what is in it. A weight in ounces and a volume in fluid ounces are not the
        same: a cavity of 4 fl oz takes more than 4 oz of base.
      </p>
      <ul className="text-sm">
        {measures.map((measure, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a measuring is its place in the list
          <li key={index} className="flex items-center gap-2">
            <span className="flex-1">
              {showDay(measure.on, showing.locale)}: {MEASURED_NAMES[measure.by].toLowerCase()},{' '}
              {showVolume(measure.capacityMl, showing.locale)}
            </span>
            <button
              type="button"
              className="btn btn-ghost btn-square min-h-11 min-w-11"
              aria-label={`Take out the measuring of ${measure.on}, ${writeFigure(measure.capacityMl, 1)} mL`}
              onClick={() => keep(measures.filter((_, place) => place !== index))}
            >
              <X size={18} />
            </button>
          </li>
        ))}
      </ul>
      {ways.length > 0 && (
        <div
          className={`my-1 rounded-lg p-2 text-sm ${disagree ? 'border-warning border-2' : 'bg-base-200'}`}
        >
          {disagree && <p className="text-warning font-semibold">Two ways disagree by more than 5 %:</p>}
          {ways.map(({ by, meanMl, count, spread }) => (
            <p key={by} className="flex items-center gap-2">
              <span className="flex-1">
                {MEASURED_NAMES[by]}: <strong>{showVolume(meanMl, showing.locale)}</strong> from {count}
                {spread !== null && `, ${showPercent(spread, showing.locale)} apart`}
              </span>
              <button
                type="button"
                className="btn btn-sm btn-ghost min-h-11"
                aria-label={`Use it: ${MEASURED_NAMES[by]}`}
                onClick={() => take(by, meanMl)}
              >
                Use it
              </button>
            </p>
          ))}
          <BaseDensity measures={measures} bases={bases} />
        </div>
      )}
      <NewMeasure
        bases={bases}
        onAdd={(measure) => {
          const next = [...measures, measure];
          keep(next);
          take(
            measure.by,
            measuredWays(next).ways.find(({ by }) => by === measure.by)?.meanMl ?? measure.capacityMl,
          );
        }}
      />
    </section>
  );
}

/** Water and base in the same cavity give the base's density: what it was taken for, brought to the water. */
function BaseDensity({ measures, bases }: { measures: Measure[]; bases: Base[] }) {
  const showing = useShowing();
  const { ways } = measuredWays(measures);
  const mean = (wanted: Measure['by']) => ways.find(({ by }) => by === wanted)?.meanMl;
  const [water, base] = [mean('water'), mean('base')];
  const [baseId, setBaseId] = useState('');
  const weighed = bases.find(({ id }) => id === baseId);
  if (water === undefined || base === undefined || bases.length === 0) return null;
  const factor = densityFromCavity(base, water);
  const takenFor = weighed && baseDensity(weighed).value;
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2 text-sm">
      <label className="flex items-center gap-2">
        Weighed with
        <select
          className="select select-sm min-h-11 w-40"
          value={baseId}
          onChange={({ target }) => setBaseId(target.value)}
        >
          <option value="">Which base?</option>
          {bases.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {weighed && takenFor !== undefined && (
        <span>
          it has <strong>{showNumber(takenFor * factor, 3, showing.locale)} g/mL</strong>; it was taken for{' '}
          {showNumber(takenFor, 3, showing.locale)} g/mL.{' '}
          {Math.abs(factor - 1) > 0.01 && (
            <a className="link" href={`/shelf?material=${encodeURIComponent(weighed.id)}`}>
              Put it right on the Shelf
            </a>
          )}
        </span>
      )}
    </div>
  );
}

interface NewProps {
  bases: Base[];
  onAdd(measure: Measure): void;
}

function NewMeasure({ bases, onAdd }: NewProps) {
  const showing = useShowing();
  const id = useId();
  const [way, setWay] = useState<Way>('water-weight');
  const [baseId, setBaseId] = useState(bases[0]?.id ?? '');
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const isJug = way === 'water-jug';
  const base = bases.find((each) => each.id === baseId);
  const needsBase = way === 'base' || way === 'one-piece';

  function add() {
    const parsed = parseQuantity(text, [isJug ? 'volume' : 'mass']);
    if (!parsed.success) return setProblem(explainQuantityFault(parsed.error, [isJug ? 'volume' : 'mass']));
    const figure =
      parsed.data.kind === 'volume'
        ? parsed.data.volumeMl
        : parsed.data.kind === 'mass'
          ? parsed.data.massG
          : 0;
    const capacityMl = needsBase && base ? figure / baseDensity(base).value : figure;
    if (!(capacityMl >= 0.5 && capacityMl <= 50_000)) return setProblem('A cavity holds 0.5 mL to 50 L.');
    setProblem(null);
    setText('');
    onAdd({
      by: needsBase ? (way as Measure['by']) : 'water',
      on: today(),
      capacityMl: Number(capacityMl.toFixed(3)),
    });
  }

  return (
    <div className="mt-2 grid grid-cols-[1fr_7rem_auto] items-end gap-2">
      <label className="text-xs">
        How
        <select
          className="select min-h-11 w-full"
          value={way}
          onChange={({ target }) => setWay(target.value as Way)}
        >
          {Object.entries(WAYS)
            .filter(([code]) => bases.length > 0 || code.startsWith('water'))
            .map(([code, name]) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
        </select>
      </label>
      <EnterField
        label={isJug ? 'In one cavity' : 'On the scale'}
        placeholder={isJug ? '100 mL' : '100 g'}
        value={text}
        saysId={`${id}-why`}
        isBad={problem !== null}
        onChange={setText}
        onEnter={add}
      />
      <button type="button" className="btn btn-secondary min-h-11" onClick={add}>
        Add
      </button>
      {needsBase && (
        <label className="col-span-3 text-xs">
          Of which base
          <select
            className="select min-h-11 w-full"
            value={baseId}
            onChange={({ target }) => setBaseId(target.value)}
          >
            {bases.map((each) => (
              <option key={each.id} value={each.id}>
                {each.name}, {showNumber(baseDensity(each).value, 3, showing.locale)} g/mL
              </option>
            ))}
          </select>
        </label>
      )}
      <p id={`${id}-why`} className="text-error col-span-3 text-xs" role={problem ? 'alert' : undefined}>
        {problem}
      </p>
    </div>
  );
}
