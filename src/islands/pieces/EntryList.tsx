import type { Progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import { asideWords, cutWords } from '../../words/en/pieces/piecesWords';
import { showMoment } from '../../words/en/showTime';
import { useShowing } from '../shared/showing';

interface Props {
  run: Run;
  so: Pick<Progress, 'cuts' | 'asides'>;
  /** From 0; null for all rounds. */
  round: number | null;
  sending: boolean;
  onTakeBack(entryId: string): void;
}

/** What was cut and set aside, each time with its date. */
export function EntryList({ run, so, round, sending, onTakeBack }: Props) {
  const showing = useShowing();
  const letters = run.snapshot.sheet.pours.map(({ letter }) => letter);
  const isOfRound = (of: number | null) => round === null || of === null || of === round;
  const entries = [
    ...so.cuts.map((cut) => ({ id: cut.cutId, at: cut.at, round: cut.round, says: cutWords(cut, showing) })),
    ...so.asides.map((aside) => ({
      ...{ id: aside.asideId, at: aside.at, round: aside.round },
      says: asideWords(aside, letters, showing),
    })),
  ]
    .filter((each) => isOfRound(each.round))
    .sort((a, b) => b.at.localeCompare(a.at));
  if (entries.length === 0) return null;
  return (
    <section className="plate p-4" aria-labelledby="cut-and-aside">
      <h2 id="cut-and-aside" className="mb-2 font-semibold">
        Cut and set aside
      </h2>
      <ul className="flex flex-col gap-3">
        {entries.map(({ id, at, says }) => (
          <li key={id}>
            <p className="quiet text-sm">{showMoment(at, showing.locale)}</p>
            <p>{says}</p>
            <button
              type="button"
              className="btn btn-ghost min-h-11 px-2"
              disabled={sending}
              onClick={() => onTakeBack(id)}
            >
              Take it back
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
