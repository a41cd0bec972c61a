import { type SubmitEvent, useState } from 'react';
import type { Taught } from '../../core/heat/taught';
import type { Jug } from '../../core/houseRules/houseRules';
import { parseFigure } from '../../core/units/parseFigure';
import { type Showing, showVolume } from '../../core/units/showQuantity';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { TaughtList } from '../shared/TaughtList';
import { OwnThings } from './OwnThings';

interface Props {
  jugs: readonly Jug[];
  showing: Showing;
  onChange(jugs: Jug[]): void;
}

const HOLDS = { unit: 'mL', least: 20, most: 100_000 };
const NOTHING = { name: '', holds: '' };

/** The jugs of the workshop, and what they take to the brim. */
export function Jugs({ jugs, showing, onChange }: Props) {
  const [texts, setTexts] = useState(NOTHING);
  const [problem, setProblem] = useState<string | null>(null);

  function add(event: SubmitEvent) {
    event.preventDefault();
    const name = texts.name.trim();
    const holds = parseFigure(texts.holds, HOLDS);
    if (name === '') return setProblem('Name: give the jug a name.');
    if (jugs.some((jug) => jug.name === name)) return setProblem('Name: another jug is called that.');
    if (!holds.success) return setProblem(`Holds: ${explainFigureFault(holds.error, HOLDS)}`);
    setProblem(null);
    setTexts(NOTHING);
    onChange([...jugs, { name, holdsMl: holds.data, taught: [] }]);
  }
  function setTaught(jug: Jug, taught: Taught[]) {
    onChange(jugs.map((each) => (each === jug ? { ...jug, taught } : each)));
    return true;
  }
  const field = (key: keyof typeof NOTHING, label: string) => (
    <label className="text-xs">
      {label}
      <input
        className="input min-h-11 w-full"
        value={texts[key]}
        maxLength={60}
        aria-describedby="jug-why"
        onChange={({ target }) => setTexts({ ...texts, [key]: target.value })}
      />
    </label>
  );
  return (
    <section className="plate p-4" aria-labelledby="jugs-title">
      <h2 id="jugs-title" className="font-semibold">
        Jugs
      </h2>
      <p className="quiet mb-2 text-sm">
        A plan says which jug a pour goes into under its headspace, and into how many melts it is split where
        none is large enough.
      </p>
      <OwnThings
        things={jugs}
        says={({ holdsMl }) => `holds ${showVolume(holdsMl, showing.locale)}`}
        onChange={onChange}
        more={(jug) => (
          <TaughtList
            whose={jug.name}
            taught={jug.taught}
            showing={showing}
            onTakeOut={(one) =>
              setTaught(
                jug,
                jug.taught.filter((each) => each !== one),
              )
            }
            onPutBack={(one, place) => setTaught(jug, jug.taught.toSpliced(place, 0, one))}
          />
        )}
      />
      <form className="mt-2 grid grid-cols-2 items-end gap-2" aria-label="New jug" onSubmit={add}>
        {field('name', 'Name of the jug')}
        {field('holds', 'Holds to the brim, mL')}
        <p id="jug-why" className="text-error text-sm" role={problem ? 'alert' : undefined}>
          {problem}
        </p>
        <button type="submit" className="btn btn-secondary justify-self-end">
          Add the jug
        </button>
      </form>
    </section>
  );
}
