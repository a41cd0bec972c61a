import { useState } from 'react';
import { DARES, placeDare } from '../../core/rehearsal/dares';
import { MISHAPS } from '../../core/rehearsal/mishaps';
import type { Run } from '../../core/run/run';
import { parseFigure } from '../../core/units/parseFigure';
import { DARE_WORDS, MISHAP_NAMES } from '../../words/en/rehearsal/rehearsalWords';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { SpeedField } from './SpeedField';
import { SEED, type Setup, USUAL_SETUP, type Way } from './setup';

interface Props {
  run: Run;
  back: Way;
  busy: boolean;
  problem: string | null;
  onBegin(setup: Setup): void;
}

/** How a rehearsal is to be: a mistake on purpose, what goes wrong, and how fast waits pass. */
export function RehearsalSetup({ run: { snapshot }, back, busy, problem, onBegin }: Props) {
  const [setup, setSetup] = useState(USUAL_SETUP);
  const [seed, setSeed] = useState(String(USUAL_SETUP.seed));
  const read = parseFigure(seed, SEED);
  const change = (part: Partial<Setup>) => setSetup({ ...setup, ...part });
  return (
    <form
      className="plate m-auto flex w-full max-w-2xl flex-col gap-4 p-6"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (read.success) onBegin({ ...setup, seed: read.data });
      }}
    >
      <h1 className="text-2xl font-semibold">Rehearse {snapshot.sheet.planName}</h1>
      <p>
        The whole batch with a scale and a thermometer that are not there. Nothing is taken from the shelf,
        and nothing comes into the Logbook.
      </p>
      <fieldset>
        <legend className="mb-1 text-lg font-semibold">Make a mistake on purpose</legend>
        <div className="grid gap-x-6 sm:grid-cols-2">
          {[null, ...DARES].map((dare) => {
            const isThere = dare === null || placeDare(dare, snapshot.tasks) !== null;
            return (
              <label key={dare} className="flex min-h-11 items-center gap-3">
                <input
                  type="radio"
                  name="dare"
                  className="radio radio-primary"
                  checked={setup.dare === dare}
                  disabled={!isThere}
                  onChange={() => change({ dare })}
                />
                <span className={isThere ? '' : 'quiet'}>
                  {dare === null ? 'No: as well as I can' : DARE_WORDS[dare].name}
                  {!isThere && ` (not with this plan: ${DARE_WORDS[dare].lacks})`}
                </span>
              </label>
            );
          })}
        </div>
      </fieldset>
      <fieldset>
        <legend className="mb-1 text-lg font-semibold">What may go wrong</legend>
        <div className="grid gap-x-6 sm:grid-cols-2">
          {MISHAPS.map((kind) => (
            <label key={kind} className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="checkbox checkbox-primary"
                checked={setup.mishaps.includes(kind)}
                onChange={({ target }) =>
                  change({
                    mishaps: target.checked
                      ? [...setup.mishaps, kind]
                      : setup.mishaps.filter((each) => each !== kind),
                  })
                }
              />
              {MISHAP_NAMES[kind]}
            </label>
          ))}
        </div>
      </fieldset>
      <div className="flex flex-wrap gap-6">
        <label>
          <span className="block font-semibold">Where it goes wrong</span>
          <input
            className={`input min-h-11 w-28 ${read.success ? '' : 'input-error'}`}
            inputMode="numeric"
            autoComplete="off"
            value={seed}
            aria-invalid={!read.success}
            aria-describedby="seed-says"
            onChange={({ target }) => setSeed(target.value)}
          />
          <span id="seed-says" className={`block text-sm ${read.success ? 'quiet' : 'text-error'}`}>
            {read.success
              ? 'Any number: the same goes wrong at the same places'
              : explainFigureFault(read.error, SEED)}
          </span>
        </label>
        <SpeedField speed={setup.speed} onChange={(speed) => change({ speed })} />
      </div>
      {problem && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap gap-3">
        <button type="submit" className="btn btn-primary btn-lg" disabled={busy} aria-busy={busy}>
          {busy ? 'Setting up …' : 'Begin'}
        </button>
        <a className="btn btn-ghost btn-lg" href={back.href}>
          {back.label}
        </a>
      </div>
    </form>
  );
}
