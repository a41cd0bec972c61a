import { useRef, useState } from 'react';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { FigureRule } from '../../core/units/parseFigure';
import type { Showing } from '../../core/units/showQuantity';
import { type ApiProblem, callApi } from '../shared/api';
import { FigureField } from '../shared/FigureField';
import { RecordProblem } from '../shared/RecordProblem';
import type { StoredItem } from '../shared/useRecords';
import { CHOICES } from './choices';
import { Jugs } from './Jugs';
import { Scales } from './Scales';

interface Props {
  start: StoredItem<HouseRules>;
  showing: Showing;
}

interface FigureSpec {
  key:
    | 'jugLossFraction'
    | 'fillFraction'
    | 'headspaceFraction'
    | 'cutStepG'
    | 'microwaveW'
    | 'readingErrorMost'
    | 'gritBodyMm'
    | 'gritFaceMm';
  label: string;
  perOne: number;
  rule: FigureRule;
}

const FIGURES: FigureSpec[] = [
  {
    key: 'jugLossFraction',
    label: 'Stays in the jug, of a new plan',
    perOne: 0.01,
    rule: { unit: '%', least: 0, most: 50 },
  },
  {
    key: 'fillFraction',
    label: 'Usual fill of a new mold',
    perOne: 0.01,
    rule: { unit: '%', least: 5, most: 100 },
  },
  {
    key: 'headspaceFraction',
    label: 'Headspace that a jug needs',
    perOne: 0.01,
    rule: { unit: '%', least: 0, most: 60 },
  },
  {
    key: 'cutStepG',
    label: 'What base can be cut to',
    perOne: 1,
    rule: { unit: 'g', least: 0.1, most: 500 },
  },
  {
    key: 'microwaveW',
    label: 'What the microwave is sold as',
    perOne: 1,
    rule: { unit: 'W', least: 200, most: 3000 },
  },
  {
    key: 'readingErrorMost',
    label: 'Largest reading error of a scale',
    perOne: 0.01,
    rule: { unit: '%', least: 0.1, most: 50 },
  },
  {
    key: 'gritBodyMm',
    label: 'Largest grain of grit',
    perOne: 1,
    rule: { unit: 'mm', least: 0.01, most: 10 },
  },
  {
    key: 'gritFaceMm',
    label: 'Largest grain for a face',
    perOne: 1,
    rule: { unit: 'mm', least: 0.01, most: 10 },
  },
];

/** Every choice of the workshop with its reason; saved as a whole at each change. */
export default function HouseRulesForm({ start, showing }: Props) {
  const [rules, setRules] = useState(start.item);
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const [state, setState] = useState<'saved' | 'saving' | 'open'>('saved');
  const wanted = useRef(start.item);
  const saved = useRef(start);
  const busy = useRef(false);

  /** One save at a time, until what is stored is what was chosen last. */
  async function flush() {
    if (busy.current) return;
    busy.current = true;
    setState('saving');
    while (wanted.current !== saved.current.item) {
      const item = wanted.current;
      const { revision } = saved.current;
      const answer = await callApi<StoredItem<HouseRules>>('PUT', '/api/house-rules', { item, revision });
      if (!answer.success) {
        busy.current = false;
        setProblem(answer.error);
        setState('open');
        return;
      }
      saved.current = { item, revision: answer.data.revision };
    }
    busy.current = false;
    setProblem(null);
    setState('saved');
  }
  function change(part: Partial<HouseRules>) {
    wanted.current = { ...wanted.current, ...part };
    setRules(wanted.current);
    void flush();
  }
  function keepMine(revision: number) {
    saved.current = { ...saved.current, revision };
    void flush();
  }
  function takeTheirs(theirs: HouseRules, revision: number) {
    saved.current = { item: theirs, revision };
    wanted.current = theirs;
    setRules(theirs);
    setProblem(null);
    setState('saved');
  }

  return (
    <div className="flex max-w-5xl flex-col gap-3">
      <header className="flex items-center gap-3">
        <h1 className="mr-auto text-2xl font-semibold">House rules</h1>
        <p className="quiet text-sm" role="status">
          {state === 'saved' ? 'Saved' : state === 'saving' ? 'Saving …' : 'Not saved'}
        </p>
      </header>
      {problem && (
        <RecordProblem
          problem={problem}
          onKeepMine={() => keepMine(problem.revision ?? saved.current.revision)}
          onTakeTheirs={() => takeTheirs(problem.current as HouseRules, problem.revision ?? 0)}
        />
      )}
      <div className="grid gap-3 md:grid-cols-2">
        {(Object.keys(CHOICES) as (keyof typeof CHOICES)[]).map((key) => (
          <fieldset key={key} className="plate p-4">
            <legend className="float-left mb-1 w-full font-semibold">{CHOICES[key].title}</legend>
            <p className="quiet clear-both mb-2 text-sm">{CHOICES[key].reason}</p>
            {Object.entries(CHOICES[key].options).map(([value, name]) => (
              <label key={value} className="flex min-h-11 cursor-pointer items-center gap-3">
                <input
                  type="radio"
                  className="radio radio-sm"
                  name={key}
                  checked={rules[key] === value}
                  onChange={() => change({ [key]: value })}
                />
                {name}
              </label>
            ))}
          </fieldset>
        ))}
        <section className="plate p-4" aria-labelledby="usual-figures">
          <h2 id="usual-figures" className="mb-2 font-semibold">
            Usual figures
          </h2>
          <div className="grid gap-3 sm:grid-cols-2">
            {FIGURES.map(({ key, label, perOne, rule }) => (
              <FigureField
                key={key}
                label={label}
                rule={rule}
                value={rules[key] / perOne}
                onChange={(value) => change({ [key]: Number((value * perOne).toPrecision(12)) })}
              />
            ))}
            <CurrencyField value={rules.currency} onChange={(currency) => change({ currency })} />
          </div>
        </section>
        <Jugs jugs={rules.jugs} showing={showing} onChange={(jugs) => change({ jugs })} />
        <Scales scales={rules.scales} showing={showing} onChange={(scales) => change({ scales })} />
      </div>
    </div>
  );
}

function CurrencyField({ value, onChange }: { value: string; onChange(value: string): void }) {
  const [text, setText] = useState(value);
  const isRight = /^[A-Z]{3}$/.test(text);
  return (
    <label className="flex flex-col">
      <span className="quiet text-xs">Currency</span>
      <input
        className={`input input-sm pointer-coarse:min-h-11 w-full ${isRight ? '' : 'input-error'}`}
        maxLength={3}
        value={text}
        aria-invalid={!isRight}
        aria-describedby="currency-says"
        onChange={({ target }) => {
          const next = target.value.toUpperCase();
          setText(next);
          if (/^[A-Z]{3}$/.test(next)) onChange(next);
        }}
      />
      <span id="currency-says" className={`text-xs ${isRight ? 'quiet' : 'text-error'}`}>
        {isRight ? 'Three letters: EUR, GBP, USD' : 'Three letters are needed, such as EUR.'}
      </span>
    </label>
  );
}
