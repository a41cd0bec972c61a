import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { hazardsOf } from '../../core/run/hazards';
import { BEFORE_IT_GETS_HOT, hazardWords } from '../../words/en/run/hazardWords';
import type { FaceProps } from './faceProps';

/** What to mind in a task, at the task; before the first melt of a run, at length and once. */
export function Safety({ run, task, tasks, rules }: FaceProps) {
  const key = `tallow.safety.${run.id}`;
  const [isRead, setRead] = useState(() => localStorage.getItem(key) !== null);
  const isFirst = task.kind === 'melt' && !tasks.some(({ kind, doneAt }) => kind === 'melt' && doneAt);
  const hazards = hazardsOf(task, run.snapshot.sheet, rules);
  if (isFirst && !isRead)
    return (
      <section className="border-warning my-2 rounded-lg border-4 p-3" aria-labelledby="before-hot">
        <div className="flex flex-wrap items-center gap-3">
          <h3 id="before-hot" className="mr-auto flex items-center gap-2 text-xl font-semibold">
            <TriangleAlert size={24} aria-hidden="true" /> Before it gets hot
          </h3>
          <button
            type="button"
            className="btn btn-secondary btn-lg"
            onClick={() => {
              localStorage.setItem(key, '1');
              setRead(true);
            }}
          >
            I have read it
          </button>
        </div>
        <ul className="my-2 list-disc pl-6">
          {BEFORE_IT_GETS_HOT.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      </section>
    );
  if (hazards.length === 0) return null;
  return (
    <p className="my-1 flex items-start gap-2 font-semibold" data-testid="hazards">
      <TriangleAlert size={20} className="text-warning mt-0.5 shrink-0" aria-hidden="true" />
      {hazards.map(hazardWords).join(' ')}
    </p>
  );
}
