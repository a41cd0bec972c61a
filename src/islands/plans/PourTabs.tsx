import { freshId } from '../../core/plan/freshId';
import { type Plan, pourLetter } from '../../core/plan/plan';
import type { UnitSystem } from '../../core/units/showQuantity';
import { usePlanPage } from './planContext';
import { pourSizeInShort } from './pourSizeInShort';

interface Props {
  plan: Plan;
  system: UnitSystem;
  /** null while all are shown. */
  pourIndex: number | null;
  /** null for all of them. */
  onPour(pourIndex: number | null): void;
}

const MOST_POURS = 26;

/** The pours in the order they are poured, and one more on top. */
export function PourTabs({ plan, system, pourIndex, onPour }: Props) {
  const { edit } = usePlanPage();
  const { pours } = plan;
  function add() {
    const top = pours.at(-1);
    if (!top) return;
    edit(
      {
        ...plan,
        pours: [
          ...pours,
          { id: freshId(pours, 'pour'), baseId: top.baseId, size: { by: 'parts', parts: 1 }, doses: [] },
        ],
      },
      `pour ${Date.now()}`,
    );
    onPour(pours.length);
  }
  return (
    <>
      {pours.length > 1 && (
        <div role="tablist" className="flex flex-wrap gap-1" aria-label="Pour">
          <button
            type="button"
            role="tab"
            aria-selected={pourIndex === null}
            className={`btn btn-sm min-h-11 max-lg:hidden ${pourIndex === null ? 'btn-primary' : 'btn-secondary'}`}
            onClick={() => onPour(null)}
          >
            Side by side
          </button>
          {pours.map((each, index) => (
            <button
              key={each.id}
              type="button"
              role="tab"
              aria-selected={index === pourIndex}
              className={`btn btn-sm min-h-11 min-w-11 ${index === pourIndex ? 'btn-primary' : 'btn-secondary'}`}
              onClick={() => onPour(index)}
            >
              {pourLetter(index)} · {pourSizeInShort(each, index, system)}
            </button>
          ))}
        </div>
      )}
      <button
        type="button"
        className="btn btn-sm btn-ghost min-h-11"
        disabled={pours.length >= MOST_POURS}
        onClick={add}
      >
        <span className="text-xl leading-none" aria-hidden="true">
          +
        </span>
        Pour
      </button>
    </>
  );
}
