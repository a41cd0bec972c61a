import { useMemo, useState } from 'react';
import type { Inspection } from '../../core/inspection/inspection';
import type { Material } from '../../core/materials/material';
import type { CutSaid } from '../../core/pieces/cut';
import { piecesMade } from '../../core/run/piecesMade';
import { progress } from '../../core/run/progress';
import type { Run, RunEvent } from '../../core/run/run';
import { sectionOf } from '../../core/section/section';
import { Photos } from '../photos/Photos';
import { AsideForm } from '../pieces/AsideForm';
import { CutForm } from '../pieces/CutForm';
import { EntryList } from '../pieces/EntryList';
import { Section } from '../section/Section';
import { withStart } from '../shared/pageData';
import { useShowing, withShowing } from '../shared/showing';
import { useFollowedRun } from '../shared/useFollowedRuns';
import { Causes } from './Causes';
import { InspectionForm } from './InspectionForm';
import { InspectionList } from './InspectionList';
import { NetWeight } from './NetWeight';

interface Props {
  start: Run;
  /** From 0. */
  round: number;
  /** Names of the scrap jars there are. */
  jars: string[];
  /** What may be taken into its plan instead. */
  shelf: Material[];
}

/** What is done with a round on this page. */
type Part = 'cut' | 'aside' | 'look';
const PARTS: readonly (readonly [Part, string])[] = [
  ['cut', 'Cut'],
  ['aside', 'Set aside'],
  ['look', 'Look at it'],
];

/** A round of a run is looked at: how it came out, what was seen before, and what may have caused it. */
function InspectRound({ start, round, jars, shelf }: Props) {
  const { locale } = useShowing();
  const { run, problem, sending, record: send } = useFollowedRun(start);
  /** How often something was written down here: its form begins anew, and only then. */
  const [written, setWritten] = useState(0);
  const [isOpen, setIsOpen] = useState(true);
  const [part, setPart] = useState<Part>(() => firstPart(start, round));
  const { sheet } = run.snapshot;
  const so = useMemo(() => progress(run), [run]);
  const own = useMemo(() => so.inspections.filter((each) => each.round === round), [so, round]);
  const section = useMemo(() => sectionOf(sheet), [sheet]);

  /** What this page knew of when its form began: another screen may look at the same round. */
  const [known, setKnown] = useState(own.length);

  async function record(event: RunEvent): Promise<boolean> {
    const done = await send(event);
    if (done) setWritten((count) => count + 1);
    return done;
  }

  const rounds = sheet.totals.rounds;
  /** There are no bars of it to be cut or looked at. */
  const isGivenUp = so.ended?.kind === 'abandoned';
  const open = so.tasks.find(
    (task) => task.kind === 'cut-bars' && task.round === round && task.doneAt === null && !task.unmet.length,
  );
  /** What is cut is ticked with it; until both are written down its form stays as it is. */
  async function cut(said: CutSaid) {
    if (!(await send({ kind: 'cut', ...said }))) return;
    if (said.of === 'blocks' && open) await send({ kind: 'done', taskId: open.id });
    setWritten((count) => count + 1);
    setPart('aside');
  }
  const takeBack = (entryId: string) => void record({ kind: 'taken-back', entryId });
  const withdraw = ({ inspectionId }: Inspection) => void record({ kind: 'withdrawn', inspectionId });
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[1fr_22rem]">
      <div className="flex min-w-0 flex-col gap-4">
        <h1 className="text-2xl font-semibold">
          {sheet.planName}
          {rounds > 1 && `, round ${round + 1} of ${rounds}`}
        </h1>
        {problem && (
          <p role="alert" className="plate text-error p-3">
            {problem.detail}
          </p>
        )}
        <nav className="flex flex-wrap gap-2" aria-label="What is done with it">
          {PARTS.filter(([each]) => each === 'aside' || !isGivenUp).map(([each, words]) => (
            <button
              key={each}
              type="button"
              className={`btn btn-lg ${part === each ? 'btn-primary' : 'btn-secondary'}`}
              aria-pressed={part === each}
              onClick={() => setPart(each)}
            >
              {words}
            </button>
          ))}
        </nav>
        {part === 'look' && isOpen && own.length > known && (
          <p role="status" className="plate live p-3">
            Another screen wrote down a look at this round meanwhile: it stands beside. What you write counts
            after it.
          </p>
        )}
        {part === 'cut' && (
          <CutForm key={written} {...{ run, so, round, sending }} onSave={(said) => void cut(said)} />
        )}
        {part === 'aside' && (
          <AsideForm
            key={written}
            {...{ run, so, round, jars, sending }}
            onSave={(said) => void record({ kind: 'set-aside', ...said })}
          />
        )}
        {part === 'look' &&
          (isOpen ? (
            <InspectionForm
              key={written}
              sheet={sheet}
              round={round}
              made={piecesMade(sheet, round, so)}
              before={own.at(-1) ?? null}
              sending={sending}
              onSave={(said) => {
                void record({ kind: 'inspected', ...said }).then((done) => {
                  if (!done) return;
                  setIsOpen(false);
                  setKnown(own.length + 1);
                });
              }}
            />
          ) : (
            <p role="status" className="plate live flex flex-wrap items-center gap-3 p-4 text-lg">
              <span className="flex-1">It is written down.</span>
              <a className="btn btn-primary" href="/rack">
                To the rack
              </a>
              <button type="button" className="btn btn-secondary" onClick={() => setIsOpen(true)}>
                Look at it again
              </button>
            </p>
          ))}
        <Photos
          run={run}
          photos={so.photos.filter((each) => each.round === null || each.round === round)}
          round={round}
          sending={sending}
          onRecord={record}
          onTakeBack={takeBack}
        />
        <Causes run={run} inspections={own} shelf={shelf} />
      </div>
      <aside className="flex min-w-0 flex-col gap-4">
        <div className="plate p-4">
          <div className="h-28">
            <Section section={section} locale={locale} thumbnail />
          </div>
          {run.code !== null && (
            <p className="mt-2">
              Batch <strong>{run.code}</strong>
            </p>
          )}
          {so.ended?.kind === 'finished' && (
            <p>
              <a
                className="link inline-flex min-h-11 items-center"
                href={`/log/${encodeURIComponent(run.id)}`}
              >
                In the Logbook
              </a>
            </p>
          )}
        </div>
        <NetWeight run={run} inspections={so.inspections} />
        <EntryList {...{ run, so, round, sending }} onTakeBack={takeBack} />
        <InspectionList run={run} inspections={own} sending={sending} onWithdraw={withdraw} />
      </aside>
    </div>
  );
}

/** What is cut and not told of yet is cut first; of a run that was given up there is only melt. */
function firstPart(run: Run, round: number): Part {
  const { tasks, ended } = progress(run);
  if (ended?.kind === 'abandoned') return 'aside';
  const cut = tasks.find((task) => task.kind === 'cut-bars' && task.round === round);
  return cut && cut.doneAt === null && cut.unmet.length === 0 ? 'cut' : 'look';
}

export default withShowing(withStart('run', InspectRound));
