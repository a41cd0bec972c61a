import { useMemo, useState } from 'react';
import type { Cause, FaultCauses } from '../../core/causes/causes';
import type { Found } from '../../core/checks/finding';
import type { FaultSeen, Inspection } from '../../core/inspection/inspection';
import { faultsOfRounds } from '../../core/inspection/inspection';
import type { Material } from '../../core/materials/material';
import type { Result } from '../../core/result';
import type { Run } from '../../core/run/run';
import {
  causeWords,
  changeWords,
  type MeasuredCauseFound,
  NOT_RECORDED,
  ruledOutWords,
} from '../../words/en/inspection/causeWords';
import { FAULT_NAMES } from '../../words/en/inspection/faultNames';
import { counted, listed } from '../../words/en/plural';
import { FindingTitle } from '../shared/FindingTitle';
import { useShowing } from '../shared/showing';
import { FaultMark } from './FaultMark';
import { type Taken, takeChange } from './takeChange';
import { useCauses } from './useCauses';

interface Props {
  run: Run;
  inspections: readonly Inspection[];
  /** What may be taken into the plan instead. */
  shelf: readonly Material[];
}

/** So many are told at once; the rest is unlikely. */
const TOLD = 4;

/** What was seen of a run's pieces, and what could have been the causes by what it measured. */
export function Causes({ run, inspections, shelf }: Props) {
  const faults = useMemo(() => faultsOfRounds(inspections), [inspections]);
  const told = useCauses(run, faults, shelf);
  if (faults.length === 0) return null;
  return (
    <section className="plate p-4" aria-labelledby="causes">
      <h2 id="causes" className="mb-2 text-lg font-semibold">
        What could have been the cause
      </h2>
      {told === 'working' ? (
        <p className="quiet" role="status">
          Looking at what this batch measured …
        </p>
      ) : told === null ? (
        <p role="alert" className="text-error">
          Its heat can’t be followed, so no cause can be told.
        </p>
      ) : (
        <ul className="flex flex-col gap-4">
          {told.map((each) => (
            <FaultTold key={`${each.round} ${each.seen.fault}`} run={run} told={each} />
          ))}
        </ul>
      )}
    </section>
  );
}

function whereWords({ pourIndexes, pieces }: FaultSeen, round: number, run: Run): string {
  const letters = pourIndexes.map((index) => run.snapshot.sheet.pours[index]?.letter ?? '');
  return [
    run.snapshot.sheet.totals.rounds > 1 ? `in round ${round + 1}` : '',
    letters.length > 0 ? `in ${listed(letters)}` : '',
    pieces === null ? '' : counted(pieces, 'piece', 'pieces'),
  ]
    .filter((words) => words !== '')
    .join(', ');
}

function FaultTold({
  run,
  told: { seen, round, causes, ruledOut, notRecorded },
}: {
  run: Run;
  told: FaultCauses;
}) {
  const showing = useShowing();
  const where = whereWords(seen, round, run);
  return (
    <li data-fault={seen.fault}>
      <h3 className="flex items-center gap-2 font-semibold">
        <FaultMark fault={seen.fault} />
        {FAULT_NAMES[seen.fault]}
        {where && <span className="quiet font-normal">{where}</span>}
      </h3>
      {causes.length === 0 ? (
        <p>Nothing that this batch measured explains it.</p>
      ) : (
        <ol className="mt-1 flex list-decimal flex-col gap-2 pl-6">
          {causes.slice(0, TOLD).map((cause, place) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: they stay in their order
            <CauseTold key={place} run={run} seen={seen} cause={cause} />
          ))}
        </ol>
      )}
      {ruledOut.length > 0 && (
        <p className="quiet mt-1 text-sm">
          Not: {ruledOut.map((each) => ruledOutWords(each, showing)).join('; ')}.
        </p>
      )}
      {notRecorded.map((what) => (
        <p key={what} className="quiet text-sm">
          Not recorded: {NOT_RECORDED[what]}.
        </p>
      ))}
    </li>
  );
}

function CauseTold({ run, seen, cause }: { run: Run; seen: FaultSeen; cause: Cause }) {
  const { found } = cause;
  if (found.code === 'found-before')
    return <FindingCause run={run} seen={seen} cause={cause} finding={found.finding} says="Known before" />;
  if (found.code === 'over-limit')
    return (
      <FindingCause
        run={run}
        seen={seen}
        cause={cause}
        finding={found.over.finding}
        says="As it was weighed"
      />
    );
  return <MeasuredCause run={run} seen={seen} cause={cause} found={found} />;
}

interface CauseProps {
  run: Run;
  seen: FaultSeen;
  cause: Cause;
}

function FindingCause({ finding, says, ...props }: CauseProps & { finding: Found; says: string }) {
  return (
    <li data-cause={props.cause.found.code === 'found-before' ? finding.code : props.cause.found.code}>
      <span>
        {says}: <FindingTitle found={finding} />
      </span>
      <Changes {...props} says={finding.about === '' ? says : `${says}: ${finding.about}`} />
    </li>
  );
}

function MeasuredCause({ found, ...props }: CauseProps & { found: MeasuredCauseFound }) {
  const says = causeWords(found, useShowing());
  return (
    <li data-cause={found.code}>
      <span>{says}</span>
      <Changes {...props} says={says} />
    </li>
  );
}

/** Ways to make it otherwise next time; where only hands can, it is noted in the plan. */
function Changes({ run, seen, cause, says }: CauseProps & { says: string }) {
  const showing = useShowing();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [taken, setTaken] = useState<Taken | null>(null);
  const why = `${FAULT_NAMES[seen.fault]}${run.code === null ? '' : ` in batch ${run.code}`}: ${says}`;
  const offers = [
    ...cause.changes.map((change) => {
      const label = changeWords(cause, change, run.snapshot.sheet.pours, showing);
      return { label, edits: change.edits, reason: `${why} Changed for it: ${label}.` };
    }),
    ...(cause.changes.length === 0 ? [{ label: 'Note it in the plan', edits: [], reason: why }] : []),
  ];

  async function change(work: () => Promise<Result<Taken | null, string>>) {
    setBusy(true);
    const answer = await work();
    setBusy(false);
    setProblem(answer.success ? null : answer.error);
    if (answer.success) setTaken(answer.data);
  }

  return (
    <span className="ml-2 inline-flex flex-wrap items-center gap-2">
      {taken ? (
        <>
          <span role="status">It is in the plan.</span>
          <a className="link" href={`/plans/${encodeURIComponent(run.planId)}`}>
            See it
          </a>
          <button
            type="button"
            className="btn btn-ghost min-h-11"
            disabled={busy}
            onClick={() => void change(taken.undo)}
          >
            Undo
          </button>
        </>
      ) : (
        offers.map(({ label, edits, reason }) => (
          <button
            key={label}
            type="button"
            className="btn btn-secondary min-h-11"
            disabled={busy}
            aria-busy={busy}
            onClick={() => void change(() => takeChange(run, edits, reason))}
          >
            {label}
          </button>
        ))
      )}
      {problem && (
        <span role="alert" className="text-error text-sm">
          {problem}
        </span>
      )}
    </span>
  );
}
