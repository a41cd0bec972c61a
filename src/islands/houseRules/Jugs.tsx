import type { Taught } from '../../core/heat/taught';
import type { Jug } from '../../core/houseRules/houseRules';
import { fail, ok, type Result } from '../../core/result';
import { parseFigure } from '../../core/units/parseFigure';
import { showVolume } from '../../core/units/showQuantity';
import { explainFigureFault } from '../../words/en/units/figureFault';
import type { StoredItem } from '../shared/saveQueue';
import { useShowing } from '../shared/showing';
import { TaughtList } from '../shared/TaughtList';
import { useRecords } from '../shared/useRecords';
import { NewRecord } from './NewRecord';
import { OwnRecords } from './OwnRecords';

const HOLDS = { unit: 'mL', least: 20, most: 100_000 };
const LABELS = { name: 'Name of the jug', holds: 'Holds to the brim, mL' };

/** The jugs of the workshop, and what they take to the brim. */
export function Jugs({ start }: { start: StoredItem<Jug>[] }) {
  const showing = useShowing();
  const jugs = useRecords('/api/jugs', 'jug', start);
  const setTaught = async (stored: StoredItem<Jug>, taught: Taught[]) =>
    (await jugs.save({ ...stored.item, taught }, stored)) === null;
  return (
    <section className="plate p-4" aria-labelledby="jugs-title">
      <h2 id="jugs-title" className="font-semibold">
        Jugs
      </h2>
      <p className="quiet mb-2 text-sm">
        A plan says which jug a pour goes into under its headspace, and into how many melts it is split where
        none is large enough.
      </p>
      <OwnRecords
        own={jugs}
        says={({ holdsMl }) => `holds ${showVolume(holdsMl, showing.locale)}`}
        more={(stored) => (
          <TaughtList
            whose={stored.item.name}
            taught={stored.item.taught}
            onTakeOut={(one) =>
              setTaught(
                stored,
                stored.item.taught.filter((each) => each !== one),
              )
            }
            onPutBack={(one, place) => setTaught(stored, stored.item.taught.toSpliced(place, 0, one))}
          />
        )}
      />
      <NewRecord
        title="New jug"
        action="Add the jug"
        labels={LABELS}
        read={readJug}
        add={(jug) => jugs.save(jug, null)}
      />
    </section>
  );
}

function readJug(texts: Record<keyof typeof LABELS, string>): Result<Omit<Jug, 'id'>, string> {
  const name = texts.name.trim();
  const holds = parseFigure(texts.holds, HOLDS);
  if (name === '') return fail('Name: give the jug a name.');
  if (!holds.success) return fail(`Holds: ${explainFigureFault(holds.error, HOLDS)}`);
  return ok({ name, holdsMl: holds.data, taught: [] });
}
