import { useMemo } from 'react';
import { pourTint } from '../../core/colour/pourTint';
import { AXIS_HOURS, onAxis } from '../../core/rack/axis';
import type { RackRound } from '../../core/rack/rackRounds';
import type { RunEvent } from '../../core/run/run';
import { sectionOf } from '../../core/section/section';
import {
  courseWords,
  DUE_NAMES,
  FEEL_NAMES,
  FEELS_FOR,
  freeWords,
  howWords,
  nextWords,
} from '../../words/en/rack/rackWords';
import { Section } from '../section/Section';
import { useShowing } from '../shared/showing';
import type { OnRack } from './onRack';

interface Props {
  row: OnRack;
  nowMs: number;
  sending: boolean;
  onEvent(event: RunEvent): void;
}

/** One round: what hands do next with it, and its time to come. */
export function RackRow({ row: { run, so, round }, nowMs, sending, onEvent }: Props) {
  const { locale } = useShowing();
  const { sheet } = run.snapshot;
  const section = useMemo(() => sectionOf(sheet), [sheet]);
  const rounds = sheet.totals.rounds;
  const [next] = round.due;
  if (!next) return null;
  const isDue = next.due.low <= nowMs;
  const { taskId } = next;
  const inspectHref = `/rack/${encodeURIComponent(run.id)}?round=${round.round + 1}`;
  return (
    <li
      className="border-base-300 grid gap-x-4 gap-y-2 border-t py-3 md:grid-cols-[22rem_5rem_1fr]"
      data-run={run.id}
      data-round={round.round + 1}
      data-next={next.kind}
    >
      <div className={`rounded-lg px-3 py-2 ${isDue ? 'live' : ''}`}>
        <p className="text-lg leading-tight font-semibold">
          {sheet.planName}
          {rounds > 1 && `, round ${round.round + 1} of ${rounds}`}
        </p>
        {run.code !== null && <p className="text-sm">Batch {run.code}</p>}
        <p className="font-semibold">{nextWords(next, nowMs, locale)}</p>
        <div className="mt-2 flex flex-wrap gap-2">
          {taskId === null ? (
            <a className={`btn btn-lg ${isDue ? 'btn-primary' : 'btn-secondary'}`} href={inspectHref}>
              {DUE_NAMES[next.kind]}
            </a>
          ) : (
            <button
              type="button"
              className={`btn btn-lg ${isDue ? 'btn-primary' : 'btn-secondary'}`}
              disabled={sending}
              aria-busy={sending}
              onClick={() => onEvent({ kind: 'done', taskId })}
            >
              {DUE_NAMES[next.kind]}
            </button>
          )}
          {next.kind === 'cut-bars' && (
            <a
              className="btn btn-secondary min-h-11"
              href={`/rack/${encodeURIComponent(run.id)}?round=${round.round + 1}`}
            >
              Cut it and say into what
            </a>
          )}
          {taskId !== null &&
            FEELS_FOR[next.kind]?.map((how) => (
              <button
                key={how}
                type="button"
                className={`btn min-h-11 ${next.felt?.how === how ? 'btn-primary' : 'btn-secondary'}`}
                aria-pressed={next.felt?.how === how}
                disabled={sending}
                onClick={() => onEvent({ kind: 'felt', taskId, how })}
              >
                {FEEL_NAMES[how]}
              </button>
            ))}
        </div>
        {so.inHand === null && so.ended === null && (
          <a
            className="link mt-2 inline-flex min-h-11 items-center"
            href={`/bench/${encodeURIComponent(run.id)}`}
          >
            All is out: into the Logbook
          </a>
        )}
      </div>
      <div className="hidden h-16 self-center md:block" aria-hidden="true">
        <Section section={section} locale={locale} thumbnail />
      </div>
      <div className="flex min-w-0 flex-col justify-center gap-1">
        <Lane round={round} nowMs={nowMs} tints={sheet.pours.map((pour) => pourTint(pour).hex)} />
        <p className="text-sm">
          {courseWords(round, nowMs)}
          {round.freeMs !== null && ` · ${sheet.mold.name} is free ${freeWords(round.freeMs, nowMs, locale)}`}
        </p>
        <p className="quiet text-sm">{howWords(next)}</p>
      </div>
    </li>
  );
}

interface LaneProps {
  round: RackRound;
  nowMs: number;
  /** Of the pours, from the floor up. */
  tints: readonly string[];
}

/** Time from now on: what passes by itself in the soap's colours, and where hands are asked for. */
function Lane({
  round: {
    waits,
    due: [next],
  },
  nowMs,
  tints,
}: LaneProps) {
  const at = (ms: number) => `${(onAxis(ms - nowMs) * 100).toFixed(2)}%`;
  const passing = waits.filter(({ ends }) => ends.middle > nowMs);
  const endMs = Math.max(nowMs, ...passing.map(({ ends }) => ends.middle));
  const bands = tints.toReversed().map((hex, place, all) => {
    const [from, to] = [(place * 100) / all.length, ((place + 1) * 100) / all.length];
    return `${hex} ${from.toFixed(1)}% ${to.toFixed(1)}%`;
  });
  return (
    <div className="relative h-16" aria-hidden="true">
      {AXIS_HOURS.slice(0, -1).map((hours) => (
        <span
          key={hours}
          className="border-base-300 absolute inset-y-0 border-l"
          style={{ left: `${onAxis(hours * 3600_000) * 100}%` }}
        />
      ))}
      {passing.length > 0 && (
        <span
          className="absolute inset-y-3 left-0 rounded-r border-2"
          style={{ width: at(endMs), background: `linear-gradient(to bottom, ${bands.join(', ')})` }}
        />
      )}
      {next && (
        <span
          className="border-primary absolute inset-y-1 min-w-1 rounded border-2"
          style={{ left: at(next.due.low), width: `calc(${at(next.due.high)} - ${at(next.due.low)})` }}
        />
      )}
    </div>
  );
}
