import { useEffect, useState } from 'react';
import type { Choices, Met, MetPlan } from '../../formats/meeting';
import { counted } from '../../words/en/plural';
import { showMoment } from '../../words/en/showTime';
import { type ApiProblem, callApi } from '../shared/api';
import { MeetingList } from '../shared/MeetingList';
import { useShowing } from '../shared/showing';

const VERDICTS: Record<MetPlan['verdict'], string> = {
  new: 'not here',
  same: 'the same here',
  newer: 'saved later there',
  older: 'saved later here',
};

/** Some plans of a copy, with their molds and materials, beside what is here. */
export function PlansOfCopy({ copyId }: { copyId: string }) {
  const { locale } = useShowing();
  const address = `/api/copies/waiting/${encodeURIComponent(copyId)}`;
  const [plans, setPlans] = useState<MetPlan[] | null>(null);
  /** Ids of those that are wanted, each with whether it is saved over the one here. */
  const [wanted, setWanted] = useState<ReadonlyMap<string, boolean>>(new Map());
  const [met, setMet] = useState<Met[] | null>(null);
  const [choices, setChoices] = useState<Choices>({});
  const [problem, setProblem] = useState<ApiProblem | null>(null);
  const [taken, setTaken] = useState<number | null>(null);
  const [busy, setBusy] = useState(false);

  useEffect(() => {
    void callApi<MetPlan[]>('GET', address).then((answer) =>
      answer.success ? setPlans(answer.data) : setProblem(answer.error),
    );
  }, [address]);

  const want = (id: string, isOver: boolean | null) => {
    const next = new Map(wanted);
    if (isOver === null) next.delete(id);
    else next.set(id, isOver);
    setWanted(next);
    setMet(null);
    setTaken(null);
  };
  const ids = [...wanted.keys()];

  async function take() {
    setBusy(true);
    setProblem(null);
    // What differs is asked for before anything is taken.
    if (met === null) {
      const answer = await callApi<Met[]>('GET', `${address}?plans=${ids.map(encodeURIComponent).join(',')}`);
      setBusy(false);
      if (!answer.success) return setProblem(answer.error);
      setMet(answer.data);
      if (answer.data.some(({ verdict }) => verdict === 'other')) return;
      setBusy(true);
    }
    const overwrite = ids.filter((id) => wanted.get(id));
    const answer = await callApi<{ taken: number }>('POST', address, { plans: ids, overwrite, choices });
    setBusy(false);
    if (!answer.success) return setProblem(answer.error);
    setTaken(answer.data.taken);
    setWanted(new Map());
    setMet(null);
  }

  if (plans === null)
    return problem ? <Problem problem={problem} /> : <p role="status">Reading its plans …</p>;
  return (
    <div className="mt-3">
      <ul className="max-h-80 overflow-y-auto">
        {plans.map(({ id, name, changedAt, verdict }) => (
          <li key={id} className="border-base-300 flex min-h-11 flex-wrap items-center gap-x-4 border-t">
            <label className="flex min-h-11 min-w-60 flex-1 cursor-pointer items-center gap-2">
              <input
                type="checkbox"
                className="checkbox"
                checked={wanted.has(id)}
                onChange={({ target }) => want(id, target.checked ? verdict === 'newer' : null)}
              />
              <span>
                {name} <span className="quiet text-sm">· {VERDICTS[verdict]}</span>
              </span>
            </label>
            <span className="quiet text-sm">{showMoment(changedAt, locale)}</span>
            {wanted.has(id) && (verdict === 'newer' || verdict === 'older') && (
              <label className="flex min-h-11 cursor-pointer items-center gap-2 text-sm">
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={wanted.get(id)}
                  onChange={({ target }) => want(id, target.checked)}
                />
                over the one here
              </label>
            )}
          </li>
        ))}
      </ul>
      {met && <MeetingList met={met} choices={choices} onChoose={setChoices} />}
      {problem && <Problem problem={problem} />}
      {taken !== null && (
        <p role="status" className="my-2">
          {counted(taken, 'plan is', 'plans are')} in the workshop now.{' '}
          <a className="link" href="/plans">
            Plans
          </a>
        </p>
      )}
      <button
        type="button"
        className="btn btn-secondary mt-2 min-h-11"
        disabled={busy || ids.length === 0}
        onClick={() => void take()}
      >
        {busy
          ? 'Taking …'
          : ids.length === 0
            ? 'Choose plans to take'
            : `Take ${counted(ids.length, 'plan', 'plans')}`}
      </button>
    </div>
  );
}

function Problem({ problem }: { problem: ApiProblem }) {
  return (
    <p role="alert" className="text-error my-2">
      {problem.detail}
    </p>
  );
}
