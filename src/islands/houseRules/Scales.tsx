import { type SubmitEvent, useState } from 'react';
import type { Scale } from '../../core/houseRules/houseRules';
import { parseMass } from '../../core/units/parseMass';
import { massUnit, type Showing, showNumber } from '../../core/units/showQuantity';
import { explainQuantityFault } from '../../words/en/units/quantityFault';
import { OwnThings } from './OwnThings';

interface Props {
  scales: readonly Scale[];
  showing: Showing;
  onChange(scales: Scale[]): void;
}

/** The scales of the workshop: how finely they read and how much they bear. */
export function Scales({ scales, showing, onChange }: Props) {
  const figure = (massG: number) => `${showNumber(massG, 3, showing.locale, 0)} g`;
  return (
    <section className="plate p-4" aria-labelledby="scales-title">
      <h2 id="scales-title" className="font-semibold">
        Scales
      </h2>
      <p className="quiet mb-2 text-sm">
        A display is off by half its step. A dose that no scale reads finely enough is flagged among the
        checks.
      </p>
      <OwnThings
        things={scales}
        says={({ stepG, gramsStepG, capacityG }) =>
          `moves by ${figure(stepG)}${gramsStepG === null ? '' : `, in grams by ${figure(gramsStepG)}`}, bears ${figure(capacityG)}`
        }
        onChange={onChange}
      />
      <NewScale
        unit={massUnit(showing.system)}
        system={showing.system}
        taken={scales.map(({ name }) => name)}
        onAdd={(scale) => onChange([...scales, scale])}
      />
    </section>
  );
}

interface NewProps {
  unit: string;
  system: Showing['system'];
  taken: string[];
  onAdd(scale: Scale): void;
}

const NOTHING = { name: '', step: '', grams: '', capacity: '' };

function NewScale({ unit, system, taken, onAdd }: NewProps) {
  const [texts, setTexts] = useState(NOTHING);
  const [problem, setProblem] = useState<string | null>(null);

  function add(event: SubmitEvent) {
    event.preventDefault();
    const name = texts.name.trim();
    if (name === '') return setProblem('Name: give the scale a name.');
    if (taken.includes(name)) return setProblem('Name: another scale is called that.');
    const step = readMass('Smallest step', texts.step, 0.0001, 1000, system);
    if (typeof step === 'string') return setProblem(step);
    const capacity = readMass('Bears', texts.capacity, 1, 1e6, system);
    if (typeof capacity === 'string') return setProblem(capacity);
    const grams =
      texts.grams.trim() === '' ? null : readMass('Step in grams', texts.grams, 0.0001, 1000, 'metric');
    if (typeof grams === 'string') return setProblem(grams);
    setProblem(null);
    setTexts(NOTHING);
    onAdd({ name, stepG: step, gramsStepG: grams, capacityG: capacity });
  }
  const field = (key: keyof typeof NOTHING, label: string) => (
    <label className="text-xs">
      {label}
      <input
        className="input min-h-11 w-full"
        value={texts[key]}
        maxLength={60}
        aria-describedby="scale-why"
        onChange={({ target }) => setTexts({ ...texts, [key]: target.value })}
      />
    </label>
  );
  return (
    <form className="mt-2 grid grid-cols-2 items-end gap-2" aria-label="New scale" onSubmit={add}>
      {field('name', 'Name')}
      {field('step', `Smallest step, ${unit}`)}
      {field('capacity', `Bears, ${unit}`)}
      {field('grams', 'Step when switched to grams, g, if it can')}
      <p id="scale-why" className="text-error text-sm" role={problem ? 'alert' : undefined}>
        {problem}
      </p>
      <button type="submit" className="btn btn-secondary justify-self-end">
        Add the scale
      </button>
    </form>
  );
}

function readMass(
  label: string,
  text: string,
  least: number,
  most: number,
  system: Showing['system'],
): number | string {
  const parsed = parseMass(text, system);
  if (!parsed.success) return `${label}: ${explainQuantityFault(parsed.error, ['mass'])}`;
  return parsed.data >= least && parsed.data <= most ? parsed.data : `${label}: from ${least} to ${most} g.`;
}
