import { useState } from 'react';
import { useFormContext } from 'react-hook-form';
import { shapeCapacityMl } from '../../core/molds/shape';
import type { MeshReport } from '../../core/molds/stl/mend';
import { BRIM_SIDES, type BrimSide } from '../../core/molds/stl/mesh';
import { showNumber } from '../../core/units/showQuantity';
import { writeFigure } from '../../core/units/writeQuantity';
import { levelsText } from '../../formats/records/moldText';
import { useShowing } from '../shared/showing';
import type { TextForm } from '../shared/textForm';
import { useModelWorker } from './useModelWorker';

const UNITS = { mm: 1, cm: 10, in: 25.4, m: 1000 } as const;
type Unit = keyof typeof UNITS;
const SIDES: Record<BrimSide, string> = {
  '+z': 'top of the file (+z)',
  '-z': 'bottom of the file (−z)',
  '+y': 'back (+y)',
  '-y': 'front (−y)',
  '+x': 'right (+x)',
  '-x': 'left (−x)',
};

interface Props {
  /** The cavity holds so much by its model. */
  onMeasured(capacityMl: number): void;
}

/** A cavity from a model file: read, mended where that is safe, its unit and its brim chosen by the crafter. */
export default function ModelImport({ onMeasured }: Props) {
  const showing = useShowing();
  const { setValue } = useFormContext<TextForm>();
  const { state, found, read, shape, stop } = useModelWorker((made) => {
    setValue('texts.levels', levelsText.write(made.levels), { shouldDirty: true });
    onMeasured(shapeCapacityMl(made));
  });
  const [unit, setUnit] = useState<Unit>('mm');
  const [brim, setBrim] = useState<BrimSide>('+z');
  const size = found && [found.size.x, found.size.y, found.size.z].map((side) => side * UNITS[unit]);

  return (
    <section className="border-base-300 flex flex-col gap-2 rounded-lg border p-3" aria-label="Model file">
      <h3 className="font-semibold">Model file</h3>
      <p className="quiet text-xs">
        STL of the inside of one cavity, as the body that fills it. The file does not say its unit: look at
        the size.
      </p>
      <input
        type="file"
        accept=".stl,model/stl"
        aria-label="STL file"
        className="file-input min-h-11 w-full"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) void read(file);
        }}
      />
      {state.kind === 'busy' && (
        <div className="flex items-center gap-2" role="status">
          <progress
            className="progress flex-1"
            value={state.of > 0 ? state.done : undefined}
            max={state.of || 1}
          />
          <span className="text-sm">{state.of > 0 ? `Level ${state.done} of ${state.of}` : 'Reading …'}</span>
          <button type="button" className="btn btn-sm min-h-11" onClick={stop}>
            Cancel
          </button>
        </div>
      )}
      {state.kind === 'fault' && (
        <p className="text-error text-sm" role="alert">
          {state.reason}
        </p>
      )}
      {found && size && (
        <>
          <ul className="text-sm">
            {reportWords(found.report).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          <div className="grid grid-cols-2 gap-2">
            <Choice<Unit>
              label="One unit of the file is"
              value={unit}
              options={(Object.keys(UNITS) as Unit[]).map((each) => [each, `1 ${each}`])}
              onChange={setUnit}
            />
            <Choice<BrimSide>
              label="It is poured in from the"
              value={brim}
              options={BRIM_SIDES.map((side) => [side, SIDES[side]])}
              onChange={setBrim}
            />
          </div>
          <p className="text-sm" aria-live="polite">
            Then it is{' '}
            <strong>{size.map((side) => showNumber(side, 1, showing.locale)).join(' × ')} mm</strong> in x, y
            and z.
            {sizeFault(size) && <span className="text-warning font-semibold"> {sizeFault(size)}</span>}
          </p>
          <button
            type="button"
            className="btn btn-secondary"
            disabled={state.kind === 'busy' || sizeFault(size) !== null}
            onClick={() => shape(UNITS[unit], brim)}
          >
            Make it the cavity
          </button>
          {state.kind === 'shape' && (
            <p className="text-sm" role="status">
              It holds <strong>{writeFigure(shapeCapacityMl(state.shape), 1)} mL</strong>, and is known at{' '}
              {state.shape.levels.length} heights.
            </p>
          )}
        </>
      )}
    </section>
  );
}

interface ChoiceProps<Value extends string> {
  label: string;
  value: Value;
  options: readonly (readonly [Value, string])[];
  onChange(value: Value): void;
}

function Choice<Value extends string>({ label, value, options, onChange }: ChoiceProps<Value>) {
  return (
    <label className="text-xs">
      {label}
      <select
        className="select min-h-11 w-full"
        value={value}
        onChange={({ target }) => onChange(target.value as Value)}
      >
        {options.map(([each, words]) => (
          <option key={each} value={each}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

const LEAST_MM = 2;
const MOST_MM = 2000;

function sizeFault(size: readonly number[]): string | null {
  if (Math.max(...size) > MOST_MM) return 'That is over 2 m: choose a smaller unit.';
  return Math.min(...size) < LEAST_MM ? 'That is under 2 mm: choose a larger unit.' : null;
}

/** What was found and what was mended, line by line. */
function reportWords({ triangles, dropped, bodies, turned, insideOut, closed }: MeshReport): string[] {
  const lines = [`${triangles} triangles${bodies > 1 ? ` in ${bodies} bodies` : ''}.`];
  if (closed > 0)
    lines.push(`${closed === 1 ? 'One open side is' : `${closed} open sides are`} closed with a flat face.`);
  if (turned > 0) lines.push(`${turned} triangles faced the wrong way and are turned.`);
  if (insideOut) lines.push('The model was inside out and is turned.');
  if (dropped > 0) lines.push(`${dropped} triangles without area are left out.`);
  if (lines.length === 1) lines.push('Nothing had to be mended.');
  return lines;
}
