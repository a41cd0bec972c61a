import { useMemo } from 'react';
import { ingredientsOf } from '../../core/ingredients/ingredients';
import { packsOf } from '../../core/ingredients/packsOf';
import type { Sheet } from '../../core/plan/sheet';
import { lackWords, listWords, shareWords } from '../../words/en/ingredientWords';
import { useShowing } from '../shared/showing';
import { usePlanPage } from './planContext';

/** What a label would list, by the plan: a draft, until it is weighed. */
export default function PlanIngredients({ sheet }: { sheet: Sheet }) {
  const { materials } = usePlanPage();
  const { locale } = useShowing();
  const told = useMemo(() => {
    const packs = packsOf(sheet, { tasks: [] }, (id) => materials.find((each) => each.id === id) ?? null);
    return packs && ingredientsOf(packs);
  }, [sheet, materials]);
  if (!told) return <p className="text-sm">Something that is melted again is not known.</p>;
  const open = told.list.filter(({ maySwap }) => maySwap);
  return (
    <div className="text-sm">
      {lackWords(told).map((words) => (
        <p key={words} className="text-warning">
          {words}
        </p>
      ))}
      <p className="select-all">{listWords(told.list, 'eu')}</p>
      {open.map((each) => (
        <p key={each.name} className="quiet">
          {each.name}, {shareWords(each, locale)}, may change places with the next.
        </p>
      ))}
      <p className="quiet">A draft by the plan: a batch in the Logbook lists what was weighed.</p>
    </div>
  );
}
