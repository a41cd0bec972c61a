import { useEffect, useMemo, useState } from 'react';
import { foldedName } from '../../core/materials/byName';
import type { Material, NewMaterial } from '../../core/materials/material';
import type { Mold } from '../../core/molds/mold';
import type { Plan } from '../../core/plan/plan';
import type { StoredPlan } from '../../core/plan/storedPlan';
import { planOfRecipe, type RecipeContext } from '../../formats/recipe/planOfRecipe';
import { readRecipe } from '../../formats/recipe/readRecipe';
import type { Found, RecipeLine } from '../../formats/recipe/recipe';
import { explainRecipeFault, explainRecipeLine, recipeLineWords } from '../../formats/recipe/recipeWords';
import { KIND_NAMES } from '../../words/en/materials/kindNames';
import { callApi } from '../shared/api';
import { NewMaterialOptions, newMaterial } from './NewMaterialOptions';

interface Props {
  materials: Material[];
  molds: Mold[];
  start: RecipeContext['start'];
}

const KEPT = 'recipe-text';
const EXAMPLE =
  '500 g clear base\n½ cup rice bran\n3 tsp calendula, 2 stirred in, 1 on the floor\n30 drops orange';

/** A recipe as it stands in a notebook, what was understood of it line by line, and the plan that it makes. */
export default function RecipeText({ materials, molds, start }: Props) {
  const [text, setText] = useState('');
  const [shelf, setShelf] = useState(materials);
  const [moldId, setMoldId] = useState(start.moldId);
  /** What is meant by a name: a material of the shelf, or what kind a new one is. */
  const [chosen, setChosen] = useState<ReadonlyMap<string, Material>>(new Map());
  const [problem, setProblem] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  useEffect(() => setText(sessionStorage.getItem(KEPT) ?? ''), []);

  const recipe = useMemo(() => readRecipe(text, shelf, chosen), [text, shelf, chosen]);
  const made = useMemo(
    () => planOfRecipe(recipe, { molds, start: { ...start, moldId } }),
    [recipe, molds, start, moldId],
  );
  const shown = recipe.lines.filter((line) => line.kind !== 'blank');

  function type(typed: string) {
    setText(typed);
    setProblem(null);
    sessionStorage.setItem(KEPT, typed);
  }
  function choose(name: string, value: string) {
    const material = shelf.find(({ id }) => id === value) ?? newMaterial(value, name);
    const next = new Map(chosen);
    if (material) next.set(foldedName(name), material as Material);
    else next.delete(foldedName(name));
    setChosen(next);
  }

  async function make() {
    if (!made.success) return setProblem(made.error.map(explainRecipeFault).join(' '));
    setBusy(true);
    setProblem(await makePlan(made.data));
    setBusy(false);
  }
  /** Puts what is new on the shelf, and the plan after it; answers why not. */
  async function makePlan(plan: Plan): Promise<string | null> {
    const there = new Map<string, string>();
    for (const [name, material] of chosen) {
      if (!isNew(material) || !JSON.stringify(plan).includes(material.id)) continue;
      const { id, ...record } = material;
      const answer = await callApi<{ item: Material }>('POST', '/api/materials', record as NewMaterial);
      if (!answer.success) return answer.error.detail;
      there.set(id, answer.data.item.id);
      setShelf((before) => [...before, answer.data.item]);
      setChosen((before) => new Map(before).set(name, answer.data.item));
    }
    const named = (id: string) => there.get(id) ?? id;
    const answer = await callApi<StoredPlan>('POST', '/api/plans', {
      ...plan,
      pours: plan.pours.map((pour) => ({
        ...pour,
        baseId: named(pour.baseId),
        doses: pour.doses.map((dose) => ({ ...dose, materialId: named(dose.materialId) })),
      })),
    });
    if (!answer.success) return answer.error.detail;
    sessionStorage.removeItem(KEPT);
    location.assign(`/plans/${answer.data.id}`);
    // Stay busy while the page changes: a second press must not make a second plan.
    return new Promise(() => {});
  }

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
        {shown.length === 0 ? (
          <p className="quiet">Nothing is written yet.</p>
        ) : (
          <ol className="flex flex-col">
            {shown.map((line) => (
              <Understood key={line.at} line={line} shelf={shelf} chosen={chosen} onChoose={choose} />
            ))}
          </ol>
        )}
        {recipe.settings.mold === undefined && (
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
          disabled={isBusy || shown.length === 0}
          onClick={() => void make()}
        >
          Make the plan
        </button>
      </section>
    </div>
  );
}

const isNew = ({ id }: Material) => id.startsWith('new ');

interface UnderstoodProps {
  line: RecipeLine;
  shelf: readonly Material[];
  chosen: ReadonlyMap<string, Material>;
  onChoose(name: string, value: string): void;
}

/** One line: what it says, and which material is meant. */
function Understood({ line, shelf, chosen, onChoose }: UnderstoodProps) {
  if (line.kind === 'blank') return null;
  const isUnread = line.kind === 'unread';
  return (
    <li className="border-base-300 grid grid-cols-[2rem_1fr] gap-x-2 border-b py-2">
      <span className="quiet text-right text-sm" aria-hidden="true">
        {line.at + 1}
      </span>
      <div className="min-w-0">
        <span className="sr-only">Line {line.at + 1}: </span>
        {(line.kind === 'base' || line.kind === 'dose') && (
          <Which
            name={line.name}
            isBase={line.kind === 'base'}
            found={line.found}
            picked={chosen.get(foldedName(line.name))}
            shelf={shelf}
            onChoose={onChoose}
          />
        )}
        {isUnread ? (
          <>
            <span className="text-error font-semibold">“{line.text}”</span>
            <p className="text-sm">{explainRecipeLine(line.why)}</p>
          </>
        ) : (
          <span className="block">{recipeLineWords(line)}</span>
        )}
      </div>
    </li>
  );
}

interface WhichProps {
  name: string;
  isBase: boolean;
  found: Found;
  /** What was chosen for the name. */
  picked: Material | undefined;
  shelf: readonly Material[];
  onChoose(name: string, value: string): void;
}

/** The material that a name means: told where one is called so, else asked. */
function Which({ name, isBase, found, picked, shelf, onChoose }: WhichProps) {
  if (found.kind === 'called' && !picked)
    return (
      <strong>
        {found.material.name}{' '}
        <span className="quiet text-sm font-normal">{KIND_NAMES[found.material.kind]}</span>
      </strong>
    );
  const first = found.kind === 'among' ? found.materials : [];
  const others = shelf.filter((each) => !each.archived && !first.includes(each) && each.kind !== 'scrap');
  return (
    <select
      className={`select min-h-11 mt-1 w-full max-w-80 ${picked ? '' : 'select-error'}`}
      aria-label={`What “${name}” is`}
      value={picked?.id ?? ''}
      onChange={({ target }) => onChoose(name, target.value)}
    >
      <option value="">“{name}”: which one?</option>
      {picked && isNew(picked) && <option value={picked.id}>New: {picked.name}</option>}
      {first.length > 0 && (
        <optgroup label="Perhaps">
          {first.map((each) => (
            <option key={each.id} value={each.id}>
              {each.name}
            </option>
          ))}
        </optgroup>
      )}
      <NewMaterialOptions name={name} isBase={isBase} />
      <optgroup label="On the shelf">
        {others.map((each) => (
          <option key={each.id} value={each.id}>
            {each.name}
          </option>
        ))}
      </optgroup>
    </select>
  );
}
