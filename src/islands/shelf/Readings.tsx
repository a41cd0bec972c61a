import { X } from 'lucide-react';
import { useId, useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { meanOf, READING_KINDS, type Reading, type ReadingKind } from '../../core/materials/reading';
import { type FigureRule, parseFigure } from '../../core/units/parseFigure';
import { parseMass } from '../../core/units/parseMass';
import { parseQuantity } from '../../core/units/parseQuantity';
import { showNumber, showPercent } from '../../core/units/showQuantity';
import { readingsText } from '../../formats/records/listTexts';
import { showDay } from '../../words/en/showTime';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { explainQuantityFault } from '../../words/en/units/quantityFault';
import { explainWeightFault } from '../../words/en/units/weightFault';
import { EnterField } from '../shared/EnterField';
import { today } from '../shared/today';
import type { MaterialTyped } from './materialForm';

const KINDS: Record<ReadingKind, { choice: string; ask: string; one: string; first: string }> = {
  drops: { choice: 'Drops, counted', ask: 'How many drops', one: 'a drop', first: '20' },
  spoon: { choice: 'A levelled spoon', ask: 'How much it holds', one: 'a mL', first: '1 tsp' },
  blocks: { choice: 'Colour blocks', ask: 'How many blocks', one: 'a block', first: '1' },
  scoops: { choice: 'A scoop of your own', ask: 'How many scoops', one: 'a scoop', first: '10' },
  capsules: { choice: 'Capsules', ask: 'How many capsules', one: 'a capsule', first: '5' },
};
const NO_NAMES = { decimal: '.', idOf: () => undefined, nameOf: (id: string) => id } as const;
const COUNT: FigureRule = { unit: '', least: 1, most: 10_000, whole: true };

/** What was weighed of this very bottle: counts onto the scale, each with its day, and what they say together. */
export function Readings({ locale }: { locale: string }) {
  const { control, setValue } = useFormContext<MaterialTyped>();
  const text = useWatch({ control, name: 'texts.readings' }) ?? '';
  const read = readingsText.read(text, NO_NAMES);
  const readings = read.success ? read.data : [];
  const keep = (next: Reading[]) =>
    setValue('texts.readings', readingsText.write(next, NO_NAMES), { shouldDirty: true });
  return (
    <section className="border-base-300 rounded-lg border p-3" aria-label="Measured on the scale">
      <h3 className="font-semibold">Measured on the scale</h3>
      {readings.length === 0 && (
        <p className="quiet text-xs">
          Nothing yet, so usual figures stand in. Count 20 drops onto the scale, or weigh one levelled spoon.
        </p>
      )}
      {READING_KINDS.map((kind) => (
        <MeanLine key={kind} kind={kind} readings={readings} locale={locale} />
      ))}
      <ul className="text-sm">
        {readings.map((reading, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a reading is its place in the list
          <li key={index} className="flex items-center gap-2">
            <span className="flex-1">
              {showDay(`${reading.on}T12:00`, locale)}: {showNumber(reading.count, 2, locale, 0)}{' '}
              {reading.of === 'spoon' ? 'mL' : reading.of}, {showNumber(reading.massG, 3, locale, 2)} g
            </span>
            <button
              type="button"
              className="btn btn-ghost btn-square min-h-11 min-w-11"
              aria-label={`Take out the reading of ${reading.on}, ${reading.massG} g`}
              onClick={() => keep(readings.filter((_, place) => place !== index))}
            >
              <X size={18} />
            </button>
          </li>
        ))}
      </ul>
      <NewReading onAdd={(reading) => keep([...readings, reading])} />
    </section>
  );
}

interface MeanProps {
  kind: ReadingKind;
  readings: readonly Reading[];
  locale: string;
}

function MeanLine({ kind, readings, locale }: MeanProps) {
  const mean = meanOf(readings, kind);
  if (!mean) return null;
  return (
    <p className="live my-1 rounded-lg px-2 py-1 text-sm">
      <strong>
        {showNumber(mean.gPerOne, 4, locale, 3)} g {KINDS[kind].one}
      </strong>{' '}
      from {mean.readings} {mean.readings === 1 ? 'reading' : 'readings'}
      {mean.spread !== null && `, ± ${showPercent(mean.spread, locale)} between them`}
    </p>
  );
}

/** Not a form of its own: it stands inside the material's, which is saved as a whole. */
function NewReading({ onAdd }: { onAdd(reading: Reading): void }) {
  const id = useId();
  const [of, setOf] = useState<ReadingKind>('drops');
  const [count, setCount] = useState(KINDS.drops.first);
  const [mass, setMass] = useState('');
  const [problem, setProblem] = useState<string | null>(null);

  function add() {
    const counted = readCount(of, count);
    if (typeof counted === 'string') return setProblem(counted);
    const massG = parseMass(mass, 'metric');
    if (!massG.success) return setProblem(`On the scale: ${explainWeightFault(massG.error)}`);
    if (massG.data < 0.001) return setProblem('On the scale: nothing was weighed. Count more of it.');
    setProblem(null);
    setMass('');
    onAdd({ of, on: today(), count: counted, massG: massG.data });
  }

  return (
    <div className="mt-2 grid grid-cols-[1fr_6rem_6rem_auto] items-end gap-2">
      <label className="text-xs">
        What
        <select
          className="select min-h-11 w-full"
          value={of}
          onChange={({ target }) => {
            const kind = READING_KINDS.find((each) => each === target.value) ?? 'drops';
            setOf(kind);
            setCount(KINDS[kind].first);
          }}
        >
          {READING_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {KINDS[kind].choice}
            </option>
          ))}
        </select>
      </label>
      <label className="text-xs">
        {KINDS[of].ask}
        <input
          className="input min-h-11 w-full"
          value={count}
          onChange={({ target }) => setCount(target.value)}
        />
      </label>
      <EnterField
        label="On the scale, g"
        value={mass}
        saysId={`${id}-why`}
        onChange={setMass}
        onEnter={add}
      />
      <button type="button" className="btn btn-secondary min-h-11" onClick={add}>
        Add
      </button>
      <p id={`${id}-why`} className="text-error col-span-4 text-xs" role={problem ? 'alert' : undefined}>
        {problem}
      </p>
    </div>
  );
}

/** What was counted, or why it can't be read. A spoon is given by what it holds: `1 tsp`, `15 mL`. */
function readCount(of: ReadingKind, text: string): number | string {
  if (of === 'spoon') {
    const parsed = parseQuantity(text, ['volume']);
    if (!parsed.success) return `${KINDS.spoon.ask}: ${explainQuantityFault(parsed.error, ['volume'])}`;
    return parsed.data.kind === 'volume' && parsed.data.volumeMl > 0
      ? parsed.data.volumeMl
      : 'An empty spoon weighs nothing.';
  }
  const parsed = parseFigure(text, COUNT);
  return parsed.success ? parsed.data : `${KINDS[of].ask}: ${explainFigureFault(parsed.error, COUNT)}`;
}
