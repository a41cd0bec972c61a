import { useId, useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { tintOf } from '../../core/colour/tint';
import { BASE_LOOKS } from '../../core/materials/base';
import { parseFigure } from '../../core/units/parseFigure';
import { matchText } from '../../formats/records/colourText';
import type { TextContext } from '../../formats/records/fieldText';
import { readMaterial } from '../../formats/records/materialText';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { today } from '../shared/today';
import type { MaterialTyped } from './materialForm';
import { SamplePhoto } from './SamplePhoto';

interface Props {
  context: TextContext;
}

const DOSE = { unit: '%', least: 0.001, most: 50 };
const THICK = { unit: 'mm', least: 0.5, most: 500 };
/**
 * One sample of the colorant, told by eye or picked from a photograph: what was dosed, in what, how thick, and what it
 * looks like. From then on its colours are computed from that.
 */
export default function ColourMatching({ context }: Props) {
  const id = useId();
  const { control, setValue } = useFormContext<MaterialTyped>();
  const texts = useWatch({ control, name: 'texts' });
  const [dose, setDose] = useState('0.1');
  const [thick, setThick] = useState('25');
  const [look, setLook] = useState<(typeof BASE_LOOKS)[number]>('white');
  const [chosen, setChosen] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [readDose, readThick] = [parseFigure(dose, DOSE), parseFigure(thick, THICK)];
  const read = readMaterial('colorant', { ...texts, name: texts.name || 'colorant' }, context);
  const colorant = read.success && read.data.kind === 'colorant' ? { ...read.data, id: 'sample' } : null;
  const expected =
    colorant && readDose.success && readThick.success
      ? tintOf(look, [{ colorant, ofBase: readDose.data / 100 }], readThick.data)
      : null;
  const hex = chosen ?? expected?.hex ?? '#8fb4cf';

  function keep() {
    if (!readDose.success) return setProblem(`Dose: ${explainFigureFault(readDose.error, DOSE)}`);
    if (!readThick.success) return setProblem(`Thickness: ${explainFigureFault(readThick.error, THICK)}`);
    setProblem(null);
    const sample = {
      on: today(),
      colour: hex,
      ofBase: readDose.data / 100,
      look,
      thicknessMm: readThick.data,
    };
    setValue('texts.match', matchText.write(sample, context), { shouldDirty: true });
    setChosen(null);
  }

  return (
    <fieldset className="border-base-300 flex flex-col gap-2 rounded-lg border p-3">
      <legend className="px-1 text-sm font-semibold">Match a sample</legend>
      <p className="quiet text-xs">
        Melt a little base with a weighed dose, let it set, and say what it looks like by daylight: choose the
        colour by eye, or take a photograph on white paper and tap the soap in it.
      </p>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <Figure label="Dose, % of base" text={dose} isRight={readDose.success} onChange={setDose} />
        <label className="text-xs">
          In a base that is
          <select
            className="select min-h-11 w-full"
            value={look}
            onChange={({ target }) => setLook(target.value as typeof look)}
          >
            {BASE_LOOKS.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
        </label>
        <Figure label="Looked through, mm" text={thick} isRight={readThick.success} onChange={setThick} />
        <label className="text-xs">
          It looks like
          <input
            type="color"
            className="input min-h-11 w-full p-1"
            value={hex}
            onChange={({ target }) => setChosen(target.value)}
          />
        </label>
      </div>
      <div className="flex items-center gap-3 text-xs">
        <Swatch
          hex={expected?.hex ?? null}
          label={expected?.unknown.length === 0 ? 'computed' : 'computed, colour not known'}
        />
        <Swatch hex={hex} label="the sample" />
      </div>
      <SamplePhoto onPick={setChosen} onProblem={setProblem} />
      <p id={`${id}-why`} className="text-error text-sm" role={problem ? 'alert' : undefined}>
        {problem}
      </p>
      <button
        type="button"
        className="btn btn-secondary min-h-11"
        aria-describedby={`${id}-why`}
        onClick={keep}
      >
        Keep it as the matched sample
      </button>
    </fieldset>
  );
}

interface FigureProps {
  label: string;
  text: string;
  isRight: boolean;
  onChange(text: string): void;
}

function Figure({ label, text, isRight, onChange }: FigureProps) {
  return (
    <label className="text-xs">
      {label}
      <input
        className={`input min-h-11 w-full ${isRight ? '' : 'input-error'}`}
        inputMode="decimal"
        value={text}
        onChange={({ target }) => onChange(target.value)}
      />
    </label>
  );
}

function Swatch({ hex, label }: { hex: string | null; label: string }) {
  return (
    <span className="flex items-center gap-2">
      <span
        className="border-primary inline-block h-11 w-16 rounded-lg border"
        style={hex ? { background: hex } : {}}
        aria-hidden="true"
      />
      <span>
        {label}
        {hex && <span className="quiet block">{hex}</span>}
      </span>
    </span>
  );
}
