import { useId, useRef, useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { averageHex } from '../../core/colour/sample';
import { tintOf } from '../../core/colour/tint';
import { BASE_LOOKS } from '../../core/materials/base';
import { parseFigure } from '../../core/units/parseFigure';
import { matchText } from '../../formats/records/colourText';
import type { TextContext } from '../../formats/records/fieldText';
import { readMaterial } from '../../formats/records/materialText';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { today } from '../shared/today';
import type { MaterialTyped } from './materialForm';

interface Props {
  context: TextContext;
}

const DOSE = { unit: '%', least: 0.001, most: 50 };
const THICK = { unit: 'mm', least: 0.5, most: 500 };
/** A picture is shown no larger than this, and one point of it is the middle of so many. */
const SHOWN_PX = 360;
const SPOT_PX = 9;

/**
 * One sample of the colorant, told by eye or picked from a photograph: what was dosed, in what, how thick, and what it
 * looks like. From then on its colours are computed from that.
 */
export default function ColourMatching({ context }: Props) {
  const id = useId();
  const { control, setValue } = useFormContext<MaterialTyped>();
  const texts = useWatch({ control, name: 'texts' });
  const canvas = useRef<HTMLCanvasElement>(null);
  const [dose, setDose] = useState('0.1');
  const [thick, setThick] = useState('25');
  const [look, setLook] = useState<(typeof BASE_LOOKS)[number]>('white');
  const [chosen, setChosen] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [hasPhoto, setHasPhoto] = useState(false);
  const [readDose, readThick] = [parseFigure(dose, DOSE), parseFigure(thick, THICK)];
  const read = readMaterial('colorant', { ...texts, name: texts.name || 'colorant' }, context);
  const colorant = read.success && read.data.kind === 'colorant' ? { ...read.data, id: 'sample' } : null;
  const expected =
    colorant && readDose.success && readThick.success
      ? tintOf(look, [{ colorant, ofBase: readDose.data / 100 }], readThick.data)
      : null;
  const hex = chosen ?? expected?.hex ?? '#8fb4cf';

  async function show(file: File) {
    setProblem(null);
    try {
      const picture = await createImageBitmap(file);
      const scale = Math.min(1, SHOWN_PX / picture.width, SHOWN_PX / picture.height);
      const target = canvas.current;
      if (!target) return;
      target.width = Math.max(1, Math.round(picture.width * scale));
      target.height = Math.max(1, Math.round(picture.height * scale));
      target.getContext('2d')?.drawImage(picture, 0, 0, target.width, target.height);
      setHasPhoto(true);
    } catch {
      setProblem('That is no picture this browser can open. Take a JPEG or a PNG.');
    }
  }

  function pick(clientX: number, clientY: number) {
    const target = canvas.current;
    const drawn = target?.getContext('2d', { willReadFrequently: true });
    if (!target || !drawn) return;
    const box = target.getBoundingClientRect();
    const x = ((clientX - box.left) / box.width) * target.width;
    const y = ((clientY - box.top) / box.height) * target.height;
    const half = Math.floor(SPOT_PX / 2);
    const { data } = drawn.getImageData(Math.round(x) - half, Math.round(y) - half, SPOT_PX, SPOT_PX);
    setChosen(averageHex(data));
  }

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
        <label className="text-xs">
          Dose, % of base
          <input
            className={`input min-h-11 w-full ${readDose.success ? '' : 'input-error'}`}
            inputMode="decimal"
            value={dose}
            onChange={({ target }) => setDose(target.value)}
          />
        </label>
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
        <label className="text-xs">
          Looked through, mm
          <input
            className={`input min-h-11 w-full ${readThick.success ? '' : 'input-error'}`}
            inputMode="decimal"
            value={thick}
            onChange={({ target }) => setThick(target.value)}
          />
        </label>
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
      <label className="text-xs">
        Photograph of the sample
        <input
          type="file"
          accept="image/*"
          className="file-input min-h-11 w-full"
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            if (file) void show(file);
          }}
        />
      </label>
      <canvas
        ref={canvas}
        className={hasPhoto ? 'max-w-full cursor-crosshair touch-none self-start rounded-lg' : 'hidden'}
        aria-label="Tap the soap in the photograph to take its colour"
        onPointerDown={({ clientX, clientY }) => pick(clientX, clientY)}
        onPointerMove={({ clientX, clientY, buttons }) => {
          if (buttons > 0) pick(clientX, clientY);
        }}
      />
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
