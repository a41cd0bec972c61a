import { useEffect, useState } from 'react';
import type { Material } from '../../core/materials/material';
import type { NewKind } from '../../core/materials/newKind';
import { NO_MOLD_ID } from '../../core/molds/noMold';
import type { StoredPlan } from '../../core/plan/storedPlan';
import type { LineRead, RecipeRead, RecipeRequest } from '../../formats/recipe/recipeExchange';
import { KIND_NAMES } from '../../words/en/materials/kindNames';
import { callApi } from '../shared/api';
import { pageData } from '../shared/pageData';
import { kindOfOption, NewKindOptions, optionOfKind } from './NewKindOptions';

/** What the page brings along. */
interface Here {
  shelf: Pick<Material, 'id' | 'name' | 'kind'>[];
  molds: { id: string; name: string }[];
}

type Meaning = RecipeRequest['chosen'][number]['is'];

const KEPT = 'recipe-text';
const EXAMPLE =
  '500 g clear base\n½ cup rice bran\n3 tsp calendula, 2 stirred in, 1 on the floor\n30 drops orange';
/** A hand that types on strikes the next key sooner. */
const PAUSE_MS = 120;

/** A recipe as it stands in a notebook, what was understood of it line by line, and the plan that it makes. */
export default function RecipeText() {
  const [{ shelf, molds }] = useState(() => pageData<Here>('recipe'));
  const [text, setText] = useState('');
  const [moldId, setMoldId] = useState(molds[0]?.id ?? NO_MOLD_ID);
  const [chosen, setChosen] = useState<ReadonlyMap<string, Meaning>>(new Map());
  const [read, setRead] = useState<RecipeRead | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  useEffect(() => setText(sessionStorage.getItem(KEPT) ?? ''), []);

  useEffect(() => {
    let isNewest = true;
    const wait = setTimeout(async () => {
      const answer = await callApi<RecipeRead>('POST', '/api/recipe', requestOf(text, chosen, moldId));
      if (!isNewest) return;
      if (answer.success) setRead(answer.data);
      else setProblem(answer.error.detail);
    }, PAUSE_MS);
    return () => {
      isNewest = false;
      clearTimeout(wait);
    };
  }, [text, chosen, moldId]);

  function type(typed: string) {
    setText(typed);
    setProblem(null);
    sessionStorage.setItem(KEPT, typed);
  }
  function choose(name: string, value: string) {
    setProblem(null);
    const next = new Map(chosen);
    if (value === '') next.delete(name);
    else next.set(name, kindOfOption(value) ?? { id: value });
    setChosen(next);
  }
  async function make() {
    setBusy(true);
    const answer = await callApi<StoredPlan>('POST', '/api/plans/recipe', requestOf(text, chosen, moldId));
    if (!answer.success) {
      setBusy(false);
      setProblem(answer.error.errors?.[0]?.reason ?? answer.error.detail);
      return;
    }
    sessionStorage.removeItem(KEPT);
    // Stay busy while the page changes: a second press must not make a second plan.
    location.assign(`/plans/${answer.data.id}`);
  }

  const lines = text.trim() === '' ? [] : (read?.lines ?? []);
  return (
    <div className="grid gap-4 lg:grid-cols-2">
      <div className="plate flex flex-col gap-3 p-4">
        <label htmlFor="recipe" className="text-lg font-semibold">
          As it stands in the notebook
        </label>
        <textarea
          id="recipe"
          className="textarea min-h-72 w-full font-mono text-base leading-relaxed"
          rows={12}
          maxLength={20_000}
          spellCheck={false}
          placeholder={EXAMPLE}
          value={text}
          onChange={({ target }) => type(target.value)}
        />
        <p className="quiet text-sm">
          A line for each thing, its amount first; the base by its weight. Several pours begin with “A: 22
          mm”, “B: rest”. Where something goes stands behind a comma: on the floor, between the goes, on top,
          on the skin.
        </p>
      </div>
      <section className="plate flex flex-col gap-3 p-4" aria-labelledby="understood">
        <h2 id="understood" className="text-lg font-semibold">
          What was understood
        </h2>
        {lines.length === 0 ? (
          <p className="quiet">Nothing is written yet.</p>
        ) : (
          <ol className="flex flex-col">
            {lines.map((line) => (
              <Understood
                key={line.at}
                line={line}
                shelf={shelf}
                picked={line.name === null ? undefined : chosen.get(line.name)}
                onChoose={choose}
              />
            ))}
          </ol>
        )}
        {!read?.namesMold && (
          <label className="flex max-w-72 flex-col">
            <span className="quiet text-xs">Mold</span>
            <select
              className="select min-h-11"
              value={moldId}
              onChange={({ target }) => setMoldId(target.value)}
            >
              {molds.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
              <option value={NO_MOLD_ID}>no mold yet</option>
            </select>
          </label>
        )}
        {problem && (
          <p role="alert" className="text-error font-semibold">
            {problem}
          </p>
        )}
        <button
          type="button"
          className="btn btn-primary min-h-11 self-start"
          disabled={isBusy || lines.length === 0}
          onClick={() => void make()}
        >
          Make the plan
        </button>
      </section>
    </div>
  );
}

function requestOf(text: string, chosen: ReadonlyMap<string, Meaning>, moldId: string): RecipeRequest {
  return { text, chosen: [...chosen].map(([name, is]) => ({ name, is })), moldId };
}

interface UnderstoodProps {
  line: LineRead;
  shelf: Here['shelf'];
  picked: Meaning | undefined;
  onChoose(name: string, value: string): void;
}

/** One line: which material is meant, and what it says. */
function Understood({ line, shelf, picked, onChoose }: UnderstoodProps) {
  const { at, kind, text, says, name } = line;
  return (
    <li className="border-base-300 grid grid-cols-[2rem_1fr] gap-x-2 border-b py-2">
      <span className="quiet text-right text-sm" aria-hidden="true">
        {at + 1}
      </span>
      <div className="min-w-0">
        <span className="sr-only">Line {at + 1}: </span>
        {name !== null && <Which {...{ line, shelf, picked, onChoose }} name={name} />}
        {kind === 'unread' && <span className="text-error font-semibold">“{text}”</span>}
        <span className="block">{says}</span>
      </div>
    </li>
  );
}

/** The material that a name means: told where one is called so, else asked. */
function Which({ line, name, shelf, picked, onChoose }: UnderstoodProps & { name: string }) {
  const { among, isSettled, kind } = line;
  const [first] = among;
  if (isSettled && first && !picked)
    return (
      <strong>
        {first.name} <span className="quiet text-sm font-normal">{KIND_NAMES[first.kind]}</span>
      </strong>
    );
  const perhaps = picked ? [] : among;
  const others = shelf.filter(({ id }) => !perhaps.some((each) => each.id === id));
  return (
    <select
      className={`select min-h-11 mb-1 w-full max-w-80 ${picked ? '' : 'select-error'}`}
      aria-label={`What “${name}” is`}
      value={picked ? optionOf(picked) : ''}
      onChange={({ target }) => onChoose(name, target.value)}
    >
      <option value="">“{name}”: which one?</option>
      {perhaps.length > 0 && <Options label="Perhaps" of={perhaps} />}
      <NewKindOptions name={name} isBase={kind === 'base'} />
      <Options label="On the shelf" of={others} />
    </select>
  );
}

function optionOf(picked: { id: string } | NewKind): string {
  return 'id' in picked ? picked.id : optionOfKind(picked);
}

function Options({ label, of }: { label: string; of: readonly { id: string; name: string }[] }) {
  return (
    <optgroup label={label}>
      {of.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </optgroup>
  );
}
