import { X } from 'lucide-react';
import { type Packed, packedCount } from '../../core/plan/packed';
import type { Plan } from '../../core/plan/plan';
import type { Sheet } from '../../core/plan/sheet';
import { counted } from '../../words/en/plural';
import { FigureField } from '../shared/FigureField';
import { newId } from '../shared/newId';
import { usePlanPage } from './planContext';

const COUNT = { unit: '', least: 1, most: 100, whole: true };
const FOR = { unit: '', least: 1, most: 1000, whole: true };

/** What pieces are wrapped in, of each so many for so many pieces; it comes off the shelf when they are wrapped. */
export default function Packaging({ plan, sheet }: { plan: Plan; sheet: Sheet | null }) {
  const { materials, editShown } = usePlanPage();
  const packed = plan.packaging ?? [];
  const offered = materials.filter(({ kind, archived }) => kind === 'packaging' && !archived);
  const set = (next: readonly Packed[], about: string) => {
    const { packaging: _, ...rest } = plan;
    editShown(next.length === 0 ? rest : { ...rest, packaging: [...next] }, about);
  };
  const change = (id: string, part: Partial<Packed>, about: string) =>
    set(
      packed.map((each) => (each.id === id ? { ...each, ...part } : each)),
      `${about} of packaging ${id}`,
    );
  const first = offered.find(({ id }) => !packed.some(({ materialId }) => materialId === id)) ?? offered[0];
  if (offered.length === 0 && packed.length === 0)
    return (
      <p className="quiet text-sm">
        No packaging is on the{' '}
        <a className="link" href="/shelf">
          shelf
        </a>{' '}
        yet: film, bags, bands, boxes.
      </p>
    );
  return (
    <div className="flex flex-col gap-2 pb-2">
      {packed.map((each) => {
        const name = materials.find(({ id }) => id === each.materialId)?.name ?? 'No longer there';
        return (
          <div key={each.id} className="flex flex-wrap items-end gap-3 text-sm">
            <label className="flex flex-col">
              <span className="quiet text-xs">Wrapped in</span>
              <select
                className="select select-sm min-w-48 pointer-coarse:min-h-11"
                value={each.materialId}
                onChange={({ target }) => change(each.id, { materialId: target.value }, 'material')}
              >
                {!offered.some(({ id }) => id === each.materialId) && (
                  <option value={each.materialId}>{name}</option>
                )}
                {offered.map(({ id, name: of }) => (
                  <option key={id} value={id}>
                    {of}
                  </option>
                ))}
              </select>
            </label>
            <FigureField
              label="How many"
              rule={COUNT}
              value={each.count}
              onChange={(count) => change(each.id, { count }, 'count')}
            />
            <FigureField
              label="For so many pieces"
              rule={FOR}
              value={each.forPieces}
              onChange={(forPieces) => change(each.id, { forPieces }, 'set')}
            />
            {sheet && <span className="quiet pb-2 text-xs">{packedCount(each, sheet.pieces)} in all</span>}
            <button
              type="button"
              className="btn btn-ghost btn-square min-h-11 min-w-11"
              aria-label={`Take out ${name}`}
              onClick={() =>
                set(
                  packed.filter(({ id }) => id !== each.id),
                  `remove packaging ${each.id}`,
                )
              }
            >
              <X size={18} />
            </button>
          </div>
        );
      })}
      {first && packed.length < 10 && (
        <button
          type="button"
          className="btn btn-secondary btn-sm min-h-11 self-start"
          onClick={() =>
            set(
              [...packed, { id: newId(), materialId: first.id, count: 1, forPieces: 1 }],
              `packaging ${packed.length}`,
            )
          }
        >
          {packed.length === 0 ? 'Add what it is wrapped in' : 'Add another'}
        </button>
      )}
      {packed.length > 0 && (
        <p className="quiet text-xs">
          {counted(packed.length, 'kind', 'kinds')} of packaging, taken off the shelf when a round is wrapped.
        </p>
      )}
    </div>
  );
}
