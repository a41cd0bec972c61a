import { cavitiesOf } from '../../core/molds/bars';
import type { Plan } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { counted } from '../../words/en/plural';
import { usePlanPage } from './planContext';

/** Where the pieces go that are beyond one filling of the mold: into it again, or into another one. */
export default function SecondMold({ plan, sheet }: { plan: Plan; sheet: Sheet }) {
  const { molds, edit } = usePlanPage();
  const { secondMoldId } = plan;
  const set = (id: string) => {
    const { secondMoldId: _, ...rest } = plan;
    edit(id === '' ? rest : { ...rest, secondMoldId: id }, 'second mold');
  };
  return (
    <label className="mb-1 flex flex-wrap items-center gap-x-2 text-sm">
      Beyond {counted(cavitiesOf(sheet.mold), 'cavity', 'cavities')}
      <select
        className="select select-sm pointer-coarse:min-h-11 w-40 grow"
        value={secondMoldId ?? ''}
        onChange={({ target }) => set(target.value)}
      >
        <option value="">fill the mold again</option>
        {molds
          .filter(({ id }) => id !== plan.moldId)
          .map(({ id, name }) => (
            <option key={id} value={id}>
              into {name}
            </option>
          ))}
      </select>
    </label>
  );
}
