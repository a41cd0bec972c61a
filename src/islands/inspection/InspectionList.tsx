import type { Inspection } from '../../core/inspection/inspection';
import type { Run } from '../../core/run/run';
import { FAULT_NAMES } from '../../words/en/inspection/faultNames';
import { faultsWords, sortedWords, weightsWords } from '../../words/en/inspection/inspectionWords';
import { showMoment } from '../../words/en/showTime';
import { useShowing } from '../shared/showing';
import { SpotMap } from './SpotMap';

interface Props {
  run: Run;
  inspections: readonly Inspection[];
  sending: boolean;
  onWithdraw(inspection: Inspection): void;
}

/** What was seen, each time with its date. */
export function InspectionList({ run, inspections, sending, onWithdraw }: Props) {
  const showing = useShowing();
  const letters = run.snapshot.sheet.pours.map(({ letter }) => letter);
  if (inspections.length === 0) return null;
  return (
    <section className="plate p-4" aria-labelledby="seen-before">
      <h2 id="seen-before" className="mb-2 font-semibold">
        Seen so far
      </h2>
      <ul className="flex flex-col gap-3">
        {inspections.toReversed().map((each) => (
          <li key={each.inspectionId}>
            <p className="quiet text-sm">
              {showMoment(each.at, showing.locale)}
              {run.snapshot.sheet.totals.rounds > 1 && `, round ${each.round + 1}`}
            </p>
            <p className="font-semibold">{sortedWords(each)}</p>
            {each.faults.length > 0 && <p>{faultsWords(each, letters)}</p>}
            <SpotMaps run={run} inspection={each} />
            {each.weightsG.length > 0 && <p>{weightsWords(each, showing)}</p>}
            {each.note && <p className="whitespace-pre-line">“{each.note}”</p>}
            <button
              type="button"
              className="btn btn-ghost min-h-11 px-2"
              disabled={sending}
              onClick={() => onWithdraw(each)}
            >
              Take it back
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Where on the piece each fault was seen, as far as it was marked. */
function SpotMaps({ run, inspection }: { run: Run; inspection: Inspection }) {
  return inspection.faults.map(
    ({ fault, spots }) =>
      spots && <SpotMap key={fault} sheet={run.snapshot.sheet} spots={spots} label={FAULT_NAMES[fault]} />,
  );
}
