import { type ReactNode, useEffect, useRef, useState } from 'react';
import type { Finding } from '../../core/checks/finding';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { SheetLine } from '../../core/plan/sheet';
import type { OverLimit } from '../../core/run/overLimits';
import type { TaskState } from '../../core/run/progress';
import type { Run, RunEvent } from '../../core/run/run';
import { parseMass } from '../../core/units/parseMass';
import { massUnit, type Showing, showMass, showMassFigure, showPercent } from '../../core/units/showQuantity';
import { isWait } from '../../core/work/task';
import { describeFinding } from '../../words/en/findings/describeFinding';
import { explainQuantityFault } from '../../words/en/units/quantityFault';
import { taskName } from '../../words/en/work/taskName';
import { taskSentence } from '../../words/en/work/taskSentence';
import { useShowing } from '../shared/showing';
import { DeviationBand } from './DeviationBand';
import { Keypad } from './Keypad';

interface Props {
  run: Run;
  task: TaskState;
  /** All of the run, to name what must come first. */
  tasks: readonly TaskState[];
  typed: string;
  rules: HouseRules;
  sending: boolean;
  /** What was found about this very task. */
  cautions: Finding[];
  /** Limits that its jug passes by what was really weighed, or is typed. */
  over: OverLimit[];
  onType(text: string): void;
  onTick(event: RunEvent): void;
  onUndo(): void;
  /** Back to the task in hand; null when this is it. */
  onBack: (() => void) | null;
}

/** The task in hand: one sentence, one figure, one thing to press. */
export function TaskFace(props: Props) {
  const { task } = props;
  if (task.doneAt !== null) return <DoneFace {...props} />;
  if (isWait(task) || task.unmet.length > 0) return <WaitFace {...props} />;
  if (task.targetG === null) return <DoFace {...props} />;
  return <WeighFace {...props} targetG={task.targetG} />;
}

function DoneFace({ run, task, sending, onUndo, onBack }: Props) {
  const showing = useShowing();
  return (
    <section className="plate flex flex-1 flex-col items-start justify-center gap-4 p-8" aria-live="polite">
      <h2 className="text-3xl font-semibold">{taskName(task, run.snapshot.sheet)} is ticked</h2>
      {task.actualG !== null && task.targetG !== null && (
        <p className="text-xl">
          {showMass(task.actualG, showing)} was weighed; {showMass(task.targetG, showing)} was aimed at.
        </p>
      )}
      <div className="flex gap-3">
        <button type="button" className="btn btn-lg btn-secondary" disabled={sending} onClick={onUndo}>
          Undo this tick
        </button>
        <BackButton onBack={onBack} />
      </div>
    </section>
  );
}

/** What passes by itself, or can't be done yet. */
function WaitFace({ run, task, tasks, rules, onBack }: Props) {
  const showing = useShowing();
  const { sheet } = run.snapshot;
  const first = task.unmet.flatMap((id) => tasks.find((each) => each.id === id) ?? []);
  return (
    <section className="plate flex flex-1 flex-col items-start gap-4 p-8">
      <h2 className="text-2xl font-semibold">{taskName(task, sheet)}</h2>
      <p className="text-3xl leading-snug">{taskSentence(task, sheet, rules, showing)}</p>
      {first.length > 0 ? (
        <p className="text-xl">
          First: <strong>{first.map((each) => taskName(each, sheet)).join(', ')}</strong>.
        </p>
      ) : (
        <p className="quiet text-xl">Nothing is ticked here. Go on with what comes next when it is over.</p>
      )}
      <BackButton onBack={onBack} />
    </section>
  );
}

function BackButton({ onBack }: Pick<Props, 'onBack'>) {
  return (
    onBack && (
      <button type="button" className="btn btn-lg btn-primary" onClick={onBack}>
        Back to the task in hand
      </button>
    )
  );
}

function DoFace(props: Props) {
  const { run, task, rules, sending, cautions, onTick, onBack } = props;
  const showing = useShowing();
  const { sheet } = run.snapshot;
  return (
    <section className="plate flex min-h-0 flex-1 flex-col p-6">
      <div className="-m-1 min-h-0 flex-1 overflow-y-auto p-1">
        <h2 className="text-2xl font-semibold">{taskName(task, sheet)}</h2>
        <p className="my-4 text-3xl leading-snug">{taskSentence(task, sheet, rules, showing)}</p>
        <Cautions cautions={cautions} />
        <OverLimits {...props} />
      </div>
      <NextButton sending={sending} onPress={() => onTick({ kind: 'done', taskId: task.id })}>
        Done
      </NextButton>
      {onBack && (
        <button type="button" className="btn btn-ghost mt-1 w-full" onClick={onBack}>
          Back to the task in hand
        </button>
      )}
    </section>
  );
}

function Cautions({ cautions }: Pick<Props, 'cautions'>) {
  const showing = useShowing();
  return cautions.map((finding) => (
    <p key={`${finding.code} ${finding.about} ${finding.doseIndexes}`} className="text-warning font-semibold">
      {describeFinding(finding, showing).title}
    </p>
  ));
}

/** A limit that is passed at the scale, and the base that would bring it back, as a task on a press. */
function OverLimits({ over, sending, tasks, onTick }: Props) {
  const showing = useShowing();
  return over.map(({ finding, baseTaskId, moreBaseG }) => {
    const isWeighed = tasks.some(({ id, doneAt }) => id === baseTaskId && doneAt !== null);
    return (
      <div
        key={`${finding.code} ${finding.about}`}
        role="alert"
        className="border-error my-1 flex flex-wrap items-center gap-3 rounded-lg border-2 p-2"
      >
        <p className="text-error flex-1 font-semibold">
          {describeFinding(finding, showing).title}. {showMass(moreBaseG, showing)} more base brings it there;
          or take some out.
        </p>
        {isWeighed && (
          <button
            type="button"
            className="btn btn-secondary btn-lg"
            disabled={sending}
            onClick={() => onTick({ kind: 'topped-up', taskId: baseTaskId, massG: moreBaseG })}
          >
            Weigh {showMass(moreBaseG, showing)} more base
          </button>
        )}
      </div>
    );
  });
}

function WeighFace(props: Props & { targetG: number }) {
  const { run, task, typed, sending, targetG, cautions, onType, onTick, onBack } = props;
  const showing = useShowing();
  const input = useRef<HTMLInputElement>(null);
  const [asked, setAsked] = useState(false);
  useEffect(() => input.current?.focus(), []);
  const { sheet } = run.snapshot;
  const parsed = parseMass(typed, showing.system);
  const weighedG = parsed.success && parsed.data > 0 ? parsed.data : null;
  const line =
    task.kind === 'weigh-dose' ? sheet.pours[task.pourIndexes[0] ?? 0]?.lines[task.lineIndex] : undefined;
  const isBad = (asked || typed.trim() !== '') && weighedG === null;

  function tick() {
    setAsked(true);
    if (weighedG === null) input.current?.focus();
    else onTick({ kind: 'weighed', taskId: task.id, massG: weighedG });
  }

  return (
    <section className="plate grid min-h-0 flex-1 grid-rows-[1fr_auto] gap-x-6 p-5 md:grid-cols-[1fr_auto]">
      <div className="-m-1 flex min-w-0 flex-col overflow-y-auto p-1">
        <h2 className="text-2xl font-semibold">
          {task.kind === 'weigh-dose'
            ? `${taskName(task, sheet)} into the ${task.into}`
            : `Cut and weigh ${taskName(task, sheet)}`}
          {line && <span className="quiet block text-lg font-normal">{plannedAs(line)}</span>}
        </h2>
        <TargetFigure massG={targetG} />
        <Explained task={task} line={line} targetG={targetG} />
        <Cautions cautions={cautions} />
        <OverLimits {...props} />
        <div className="mt-auto">
          <label htmlFor="on-the-scale" className="text-lg font-semibold">
            On the scale
          </label>
          <div className="flex items-center gap-3">
            <input
              id="on-the-scale"
              ref={input}
              className={`input h-18 w-56 font-mono text-4xl ${isBad ? 'input-error' : ''}`}
              inputMode="decimal"
              autoComplete="off"
              value={typed}
              aria-invalid={isBad}
              aria-describedby="scale-says"
              onChange={({ target }) => onType(target.value)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || (event.key === ' ' && weighedG !== null)) {
                  event.preventDefault();
                  tick();
                }
              }}
            />
            <span className="text-3xl">{massUnit(showing.system)}</span>
          </div>
          <p id="scale-says" className={`min-h-8 text-lg ${isBad ? 'text-error' : ''}`} aria-live="polite">
            {weighedG !== null
              ? deviationText(weighedG, targetG, showing)
              : isBad
                ? !parsed.success
                  ? explainQuantityFault(parsed.error, ['mass'])
                  : 'Nothing on the scale yet: write the weight that it shows.'
                : ''}
          </p>
          <DeviationBand weighedG={weighedG} targetG={targetG} />
        </div>
      </div>
      <div className="w-64 max-md:w-full">
        <Keypad onKey={(key) => onType(key === 'back' ? typed.slice(0, -1) : `${typed}${key}`)} />
      </div>
      <div className="md:col-span-2">
        <NextButton sending={sending} onPress={tick}>
          Tick
        </NextButton>
        {onBack && (
          <button type="button" className="btn btn-ghost mt-1 w-full" onClick={onBack}>
            Back to the task in hand
          </button>
        )}
      </div>
    </section>
  );
}

/** A figure of the mono type is so wide, of its height. */
const FIGURE_WIDTH = 0.62;
/** The unit stands as large as a third of the figure, beside it. */
const UNIT_SIZE = 1 / 3;

/** The weight that is aimed at, as large as the room beside the keypad lets it stand whole, with its unit on one line. */
function TargetFigure({ massG }: { massG: number }) {
  const showing = useShowing();
  const [figure, unit] = [showMassFigure(massG, showing), massUnit(showing.system)];
  const widths = figure.length * FIGURE_WIDTH + (unit.length + 0.5) * FIGURE_WIDTH * UNIT_SIZE;
  return (
    <div className="@container">
      <p
        className="font-mono leading-none font-semibold tracking-tight whitespace-nowrap"
        style={{ fontSize: `min(10rem, ${(96 / widths).toFixed(2)}cqw)` }}
        data-testid="target"
      >
        {figure}
        <span style={{ fontSize: `${UNIT_SIZE}em` }}> {unit}</span>
      </p>
    </div>
  );
}

interface ExplainedProps {
  task: TaskState;
  line: SheetLine | undefined;
  targetG: number;
}

/** Why the figure is what it is. */
function Explained({ task, line, targetG }: ExplainedProps): ReactNode {
  const showing = useShowing();
  if (task.kind === 'weigh-base')
    return (
      task.cutG > targetG + 0.05 && (
        <p className="quiet">
          Cut up to {showMass(task.cutG, showing)}: what is over goes along with its doses.
        </p>
      )
    );
  return (
    <>
      {line && !line.exact && (
        <p className="quiet">≈ approximate: it was planned by {line.text}, and weighed it comes out true.</p>
      )}
      {task.plannedG !== null && Math.abs(targetG - task.plannedG) > 1e-6 && (
        <p className="quiet">Planned {showMass(task.plannedG, showing)}, brought to the base in the jug.</p>
      )}
    </>
  );
}

function plannedAs({ text, wets, blend, leaves }: SheetLine): string {
  if (wets) return `to wet what was planned as ${text}${leaves ? '; it leaves again' : ''}`;
  return blend ? `its part of ${blend}, planned as ${text}` : `planned as ${text}`;
}

const AS_AIMED = 0.0005;

function deviationText(weighedG: number, targetG: number, showing: Showing): string {
  const deviation = (weighedG - targetG) / targetG;
  if (Math.abs(deviation) < AS_AIMED) return 'Just as aimed at.';
  const share = showPercent(Math.abs(deviation), showing.locale);
  return `${share} ${deviation > 0 ? 'more' : 'less'}: ${showMass(Math.abs(weighedG - targetG), showing)} ${deviation > 0 ? 'over' : 'short'}.`;
}

function NextButton({ sending, children, onPress }: { sending: boolean; children: string; onPress(): void }) {
  return (
    <button
      type="button"
      className="btn btn-primary mt-3 h-24 w-full text-3xl"
      disabled={sending}
      aria-busy={sending}
      onClick={onPress}
    >
      {sending ? 'Recording …' : children}
    </button>
  );
}
