import { useMemo, useState } from 'react';
import type { Material } from '../../core/materials/material';
import { progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import { showMoment } from '../../words/en/showTime';
import { Causes } from '../inspection/Causes';
import { InspectionList } from '../inspection/InspectionList';
import { NetWeight } from '../inspection/NetWeight';
import { Photos } from '../photos/Photos';
import { EntryList } from '../pieces/EntryList';
import { withStart } from '../shared/pageData';
import { useShowing, withShowing } from '../shared/showing';
import { useFollowedRun } from '../shared/useFollowedRuns';
import { ComplaintForm } from './ComplaintForm';

interface Props {
  start: Run;
  /** What may be taken into its plan instead. */
  shelf: Material[];
}

/** What was seen of a finished run's pieces since, what may have caused it, and words that came later. */
function RunSeen({ start, shelf }: Props) {
  const { locale } = useShowing();
  const { run, problem, sending, record } = useFollowedRun(start);
  const [note, setNote] = useState('');
  const so = useMemo(() => progress(run), [run]);
  const { rounds } = run.snapshot.sheet.totals;

  return (
    <div className="flex flex-col gap-4">
      <InspectionList
        run={run}
        inspections={so.inspections}
        sending={sending}
        onWithdraw={({ inspectionId }) => void record({ kind: 'withdrawn', inspectionId })}
      />
      <EntryList
        {...{ run, so, round: null, sending }}
        onTakeBack={(entryId) => void record({ kind: 'taken-back', entryId })}
      />
      <Photos
        {...{ run, photos: so.photos, round: null, sending }}
        onRecord={record}
        onTakeBack={(entryId) => void record({ kind: 'taken-back', entryId })}
      />
      <NetWeight run={run} inspections={so.inspections} />
      <Causes run={run} inspections={so.inspections} shelf={shelf} />
      <section className="plate p-4" aria-labelledby="later">
        <h2 id="later" className="mb-2 font-semibold">
          What came later
        </h2>
        <p className="flex flex-wrap gap-2">
          {Array.from({ length: rounds }, (_, round) => (
            <a
              // biome-ignore lint/suspicious/noArrayIndexKey: rounds are counted
              key={round}
              className="btn btn-secondary min-h-11"
              href={`/rack/${encodeURIComponent(run.id)}?round=${round + 1}`}
            >
              {rounds > 1 ? `Look at round ${round + 1}` : 'Look at its pieces'}
            </a>
          ))}
        </p>
        <ul className="mt-2" aria-label="Complaints and reactions">
          {so.complaints.map(({ at, words, from, done }) => (
            <li key={`${at} ${words}`} className="border-warning my-1 border-l-4 pl-3">
              <span className="quiet text-sm">
                {showMoment(at, locale)}, a complaint or a reaction{from && ` of ${from}`}
              </span>
              <p className="whitespace-pre-line">{words}</p>
              <p className={done ? '' : 'quiet'}>{done ? `Done: ${done}` : 'Nothing was done yet.'}</p>
            </li>
          ))}
        </ul>
        <ul className="mt-2">
          {so.remarks.map(({ at, note: said }) => (
            <li key={`${at} ${said}`}>
              <span className="quiet text-sm">{showMoment(at, locale)}</span>
              <p className="whitespace-pre-line">{said}</p>
            </li>
          ))}
        </ul>
        <form
          className="mt-2 flex flex-wrap items-end gap-2"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            const said = note.trim();
            if (said === '') return;
            void record({ kind: 'remarked', note: said }).then((done) => done && setNote(''));
          }}
        >
          <label className="min-w-60 flex-1">
            <span className="block text-sm font-semibold">A word, dated today</span>
            <textarea
              className="textarea w-full"
              rows={2}
              maxLength={4000}
              value={note}
              onChange={({ target }) => setNote(target.value)}
            />
          </label>
          <button
            type="submit"
            className="btn btn-secondary min-h-11"
            disabled={sending || note.trim() === ''}
          >
            Add it
          </button>
        </form>
        <ComplaintForm sending={sending} onAdd={(event) => record(event)} />
        {problem && (
          <p role="alert" className="text-error">
            {problem.detail}
          </p>
        )}
      </section>
    </div>
  );
}

export default withShowing(withStart('run', RunSeen));
