import { useMemo } from 'react';
import { ingredientsOf } from '../../core/ingredients/ingredients';
import { packsOf } from '../../core/ingredients/packsOf';
import type { Sheet } from '../../core/plan/sheet';
import { listWords, shareWords } from '../../words/en/ingredientWords';
import { listed } from '../../words/en/plural';
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
      {told.unlisted.length > 0 && (
        <p className="text-warning">
          No list of ingredients: {listed(told.unlisted)}. It stands under its own name until its list is
          typed on the shelf; of pieces of a plan, once some are kept there.
        </p>
      )}
      {told.contradicted.length > 0 && (
        <p className="text-warning">A list contradicts what is known of it: {listed(told.contradicted)}.</p>
      )}
      {told.allergensUnknown.length > 0 && (
        <p className="text-warning">Nobody has told the allergens of {listed(told.allergensUnknown)}.</p>
      )}
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
