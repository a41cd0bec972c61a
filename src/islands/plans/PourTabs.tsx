import { freshId } from '../../core/plan/ids';
import { type Plan, type Pour, pourLetter } from '../../core/plan/plan';
import { writePourSize } from '../../core/plan/pourSize';
import { massUnit, type UnitSystem } from '../../core/units/showQuantity';
import { writeMass } from '../../core/units/writeQuantity';
import { usePlanPage } from './planContext';

interface Props {
  plan: Plan;
  system: UnitSystem;
  pourIndex: number;
  onPour(pourIndex: number): void;
}

const MOST_POURS = 26;

function sizeInShort({ size, way }: Pour, index: number, system: UnitSystem): string {
  if (index > 0 && way?.besideShare !== undefined) return `beside ${pourLetter(index - 1)}`;
  const mass = (massG: number) => `${writeMass(massG, system)} ${massUnit(system)}`;
  if (size.by === 'mass') return mass(size.massG);
  return size.by === 'base' ? `${mass(size.baseG)} base` : writePourSize(size, system);
}

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
          {pours.map((each, index) => (
            <button
              key={each.id}
              type="button"
              role="tab"
              aria-selected={index === pourIndex}
              className={`btn btn-sm min-h-11 min-w-11 ${index === pourIndex ? 'btn-primary' : 'btn-secondary'}`}
              onClick={() => onPour(index)}
            >
              {pourLetter(index)} · {sizeInShort(each, index, system)}
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
