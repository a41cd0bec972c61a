import { useEffect, useMemo, useState } from 'react';
import type { HouseRules } from '../../core/houseRules/houseRules';
import { jugGroups } from '../../core/plan/oneJug';
import type { Run, RunEvent } from '../../core/run/run';
import { rescaled, runState } from '../../core/run/runState';
import type { StockByMaterial } from '../../core/stock/fromShelf';
import { parseMass } from '../../core/units/parseMass';
import type { Showing } from '../../core/units/showQuantity';
import { FinishForm } from './FinishForm';
import { StepFace } from './StepFace';
import { StepList } from './StepList';
import { useRun } from './useRun';

interface Props {
  start: Run;
  rules: HouseRules;
  /** Lots that may stand on the bench, by material. */
  stock: StockByMaterial;
  showing: Showing;
}

/** One step at a time, legible at two metres. */
export default function Bench({ start, rules, stock, showing }: Props) {
  const { run, problem, sending, record } = useRun(start);
  const { steps, ended } = useMemo(() => runState(run), [run]);
  const firstOpen = steps.findIndex((step) => step.doneAt === null);
  const [looked, setLooked] = useState<number | null>(null);
  const at = looked ?? firstOpen;
  const step = steps[at];
  const [typed, setTyped] = useKeptText(`tallow.weight.${run.id}.${step?.id ?? 'end'}`);

  // What is typed for the base moves every dose at once, before it is ticked.
  const parsed = parseMass(typed, showing.system);
  const typedG = parsed.success && parsed.data > 0 ? parsed.data : null;
  const jug = jugGroups(run.sheet.pours).find((group) => group.includes(step?.pourIndex ?? 0)) ?? [];
  const shown = steps.map((each) => {
    const isThisJug = step?.kind === 'weigh-base' && step.doneAt === null && jug.includes(each.pourIndex);
    const meltG = run.sheet.pours[jug[0] ?? 0]?.meltG;
    if (!isThisJug || typedG === null || !meltG || each.kind !== 'weigh-dose') return each;
    return { ...each, targetG: rescaled(each.plannedG ?? 0, meltG, typedG) };
  });

  async function tick(event: RunEvent) {
    const done = await record(event);
    if (done) {
      setTyped('');
      setLooked(null);
    }
  }

  if (ended) {
    return (
      <div className="p-6">
        <div className="plate max-w-xl p-6">
          <h1 className="text-2xl font-semibold">{run.sheet.planName}</h1>
          <p className="my-3">
            {ended.how === 'finished' ? 'This run is in the Logbook.' : 'This run was given up.'}
          </p>
          <a className="btn btn-primary" href={ended.how === 'finished' ? `/log/${run.id}` : '/bench'}>
            {ended.how === 'finished' ? 'See it in the Logbook' : 'To the bench'}
          </a>
        </div>
      </div>
    );
  }

  return (
    <div className="grid h-full gap-2 p-2 md:grid-cols-[250px_1fr]">
      <StepList
        run={run}
        steps={shown}
        at={at}
        showing={showing}
        onLook={(place) => setLooked(place === firstOpen ? null : place)}
        onGiveUp={() => record({ type: 'abandoned', note: '' })}
      />
      <div className="flex min-h-0 flex-col gap-2">
        {problem && (
          <p role="alert" className="plate border-error text-error px-4 py-2 text-lg font-semibold">
            {problem.detail}
          </p>
        )}
        {step ? (
          <StepFace
            key={step.id}
            run={run}
            step={shown[at] ?? step}
            typed={typed}
            rules={rules}
            showing={showing}
            sending={sending}
            cautions={run.findings.filter(({ severity }) => severity === 'caution')}
            onType={setTyped}
            onTick={tick}
            onUndo={() => tick({ type: 'undone', stepId: step.id })}
            onBack={looked === null ? null : () => setLooked(null)}
          />
        ) : (
          <FinishForm run={run} stock={stock} showing={showing} sending={sending} onFinish={record} />
        )}
      </div>
    </div>
  );
}

/** A text that outlives a reload: what was typed and not ticked yet. */
function useKeptText(key: string): [string, (text: string) => void] {
  const [text, setText] = useState('');
  useEffect(() => setText(localStorage.getItem(key) ?? ''), [key]);
  const keep = (next: string) => {
    setText(next);
    if (next === '') localStorage.removeItem(key);
    else localStorage.setItem(key, next);
  };
  return [text, keep];
}
