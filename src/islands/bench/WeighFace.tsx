import type { ReactNode } from 'react';
import type { Sheet, SheetLine } from '../../core/plan/sheet';
import { jugsOf, meltedBeyond } from '../../core/pours/jugsOf';
import type { TaskState } from '../../core/run/taskStates';
import { weighedMaterial } from '../../core/run/usedMaterials';
import type { CountedOut } from '../../core/units/counting';
import { massUnit, type Showing, showMass, showMassFigure, showPercent } from '../../core/units/showQuantity';
import { weighedLine } from '../../core/work/weighedLine';
import { countParts, showCount } from '../../words/en/units/showCount';
import { explainWeightFault } from '../../words/en/units/weightFault';
import { baseSplitWords } from '../../words/en/work/baseWords';
import { byEyeLimit } from '../../words/en/work/byEyeWords';
import { taskName } from '../../words/en/work/taskName';
import { useShowing } from '../shared/showing';
import { DeviationBand } from './DeviationBand';
import { Cautions, NextButton } from './faceParts';
import type { FaceProps } from './faceProps';
import { InTheWay } from './InTheWay';
import { Keypad } from './Keypad';
import { LotChoice } from './LotChoice';
import { OnTheScale } from './OnTheScale';
import { Safety } from './Safety';
import { TooMuch } from './TooMuch';
import { useWeighing, type Weighing } from './useWeighing';

/** Something that is weighed or counted out: the figure that is aimed at, and the one that came. */
export function WeighFace(props: FaceProps & { targetG: number }) {
  const { run, task, typed, sending, targetG, cautions, lots, onType, onTick, onBack } = props;
  const showing = useShowing();
  const weighing = useWeighing(props);
  const { sheet } = run.snapshot;
  const line = weighedLine(sheet, task);
  const counted = line?.counted ? countParts(line.counted, targetG, showing) : null;
  // The drawer of instruments takes the room of the keypad: the scale and what is typed stand side by side.
  const isLow = props.scale.isDrawerOpen;

  return (
    <section className="plate grid min-h-0 flex-1 grid-rows-[1fr_auto] gap-x-6 p-5 lg:grid-cols-[1fr_auto]">
      <div className="-m-1 flex min-w-0 flex-col overflow-y-auto p-1">
        <h2 className="text-2xl font-semibold">
          {task.kind === 'weigh-dose'
            ? `${taskName(task, sheet)} into the ${task.into}`
            : `Cut and weigh ${taskName(task, sheet)}`}
          {line && <span className="quiet block text-lg font-normal">{plannedAs(line)}</span>}
        </h2>
        <TargetFigure massG={targetG} counted={counted} isLow={isLow} />
        <LotChoice of={lots} name={weighedMaterial(sheet, task)?.name ?? ''} targetG={targetG} />
        {weighing.weighedG === null && (
          <>
            <Explained task={task} sheet={sheet} line={line} targetG={targetG} />
            <Safety {...props} />
          </>
        )}
        <InTheWay {...props} />
        {/* Whether the lot that it is weighed from is past its date is said above. */}
        <Cautions cautions={cautions.filter(({ code }) => !(lots.lot && code === 'lot-past-date'))} />
        <TooMuch {...props} weighing={weighing} />
        <WhatCame {...props} weighing={weighing} line={line} counted={counted} />
      </div>
      {!isLow && (
        <div className="flex w-64 flex-col gap-2 max-lg:w-full">
          <Keypad onKey={(key) => onType(key === 'back' ? typed.slice(0, -1) : `${typed}${key}`)} />
          {counted && <CountKeys planned={counted.figure} typed={typed} onType={onType} />}
        </div>
      )}
      <div className="lg:col-span-2">
        <NextButton sending={sending} onPress={weighing.tick}>
          {weighing.why === null ? 'Tick' : 'Leave it as it is'}
        </NextButton>
        {line?.isOptional && (
          <button
            type="button"
            className="btn btn-secondary btn-lg mt-2 w-full"
            disabled={sending}
            onClick={() => onTick({ kind: 'left-out', taskId: task.id })}
          >
            Leave it out
          </button>
        )}
        {onBack && (
          <button type="button" className="btn btn-ghost mt-1 w-full" onClick={onBack}>
            Back to the task in hand
          </button>
        )}
      </div>
    </section>
  );
}

interface CameProps {
  targetG: number;
  weighing: Weighing;
  line: SheetLine | undefined;
  counted: { figure: string; unit: string } | null;
}

/** What came: on a scale that is followed, or typed. */
function WhatCame({
  scale,
  typed,
  targetG,
  weighing: { input, parsed, weighedG, isBad, tick },
  line,
  counted,
  onType,
}: FaceProps & CameProps) {
  const showing = useShowing();
  return (
    <div className="mt-auto">
      <div className="flex flex-wrap items-end gap-x-6">
        <OnTheScale scale={scale} />
        <div>
          <label htmlFor="on-the-scale" className="text-lg font-semibold">
            {counted ? 'Counted out' : scale.watch ? 'Or typed' : 'On the scale'}
          </label>
          <div className="flex flex-wrap items-center gap-3">
            <input
              id="on-the-scale"
              ref={input}
              className={`input font-mono ${scale.watch ? 'h-14 w-32 text-2xl' : 'h-18 w-56 text-4xl'} ${isBad ? 'input-error' : ''}`}
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
            <span className="text-3xl">{counted?.unit ?? massUnit(showing.system)}</span>
            {counted && scale.isDrawerOpen && (
              <CountKeys planned={counted.figure} typed={typed} onType={onType} />
            )}
          </div>
        </div>
      </div>
      <p id="scale-says" className={`min-h-8 text-lg ${isBad ? 'text-error' : ''}`} aria-live="polite">
        {weighedG !== null
          ? deviationText(weighedG, targetG, line?.counted ?? null, showing)
          : isBad
            ? !parsed.success
              ? explainWeightFault(parsed.error)
              : counted
                ? 'Nothing counted yet: write how many went in.'
                : 'Nothing on the scale yet: write the weight that it shows.'
            : counted
              ? `Or its weight, such as ${showMass(targetG, showing)}.`
              : ''}
      </p>
      <DeviationBand weighedG={weighedG} targetG={targetG} />
    </div>
  );
}

/** One more for each drop or spoon that went in, or all of them as they were planned. */
function CountKeys({
  planned,
  typed,
  onType,
}: {
  planned: string;
  typed: string;
  onType(text: string): void;
}) {
  const count = /^\d*$/.test(typed.trim()) ? Number(typed) : null;
  return (
    <div className="flex gap-2">
      {count !== null && (
        <button
          type="button"
          className="btn btn-secondary h-18 min-w-24 flex-1 text-3xl"
          aria-label="One more"
          onClick={() => onType(String(count + 1))}
        >
          + 1
        </button>
      )}
      <button type="button" className="btn btn-secondary h-18 flex-1 text-lg" onClick={() => onType(planned)}>
        As planned
      </button>
    </div>
  );
}

/** A figure of the mono type is so wide, of its height. */
const FIGURE_WIDTH = 0.62;
/** The unit stands as large as a third of the figure, beside it. */
const UNIT_SIZE = 1 / 3;

/** The weight that is aimed at, as large as the room beside the keypad lets it stand whole, with its unit on one line. */
function TargetFigure({
  massG,
  counted,
  isLow,
}: {
  massG: number;
  counted: { figure: string; unit: string } | null;
  /** There is little height for it, as there is where the keypad lies below. */
  isLow: boolean;
}) {
  const showing = useShowing();
  const { figure, unit } = counted ?? {
    figure: showMassFigure(massG, showing),
    unit: massUnit(showing.system),
  };
  const widths = figure.length * FIGURE_WIDTH + (unit.length + 0.5) * FIGURE_WIDTH * UNIT_SIZE;
  return (
    <div className="@container">
      <p
        className={`font-mono leading-none font-semibold tracking-tight whitespace-nowrap [--most:5rem] ${isLow ? '' : 'lg:[--most:10rem]'}`}
        style={{ fontSize: `min(var(--most), ${(96 / widths).toFixed(2)}cqw)` }}
        data-testid="target"
      >
        {figure}
        <span style={{ fontSize: `${UNIT_SIZE}em` }}> {unit}</span>
      </p>
      {counted && <p className="text-2xl">{showMass(massG, showing)} by weight</p>}
    </div>
  );
}

interface ExplainedProps {
  task: TaskState;
  sheet: Sheet;
  line: SheetLine | undefined;
  targetG: number;
}

/** Why the figure is what it is. */
function Explained({ task, sheet, line, targetG }: ExplainedProps): ReactNode {
  const showing = useShowing();
  if (task.kind === 'weigh-base') {
    const jug = jugsOf(sheet.pours).find(({ group }) => group.includes(task.pourIndexes[0] ?? -1));
    const beyond = jug ? meltedBeyond(jug) : 0;
    const pour = sheet.pours[task.pourIndexes[0] ?? -1];
    const split = pour ? baseSplitWords(pour, targetG, showing) : null;
    return (
      <>
        {split && <p className="text-xl font-semibold">{split}, into one jug.</p>}
        {beyond > 0 && (
          <p className="quiet">
            {showMass(targetG / (1 + beyond), showing)} of it is poured. Less than{' '}
            {showMass(sheet.leastMeltG, showing)} does not melt well, so the rest is left over with its doses.
          </p>
        )}
        {task.cutG > targetG + 0.05 && (
          <p className="quiet">
            Cut up to {showMass(task.cutG, showing)}: what is over goes along with its doses.
          </p>
        )}
      </>
    );
  }
  return (
    <>
      {line?.byEye && (
        <p className="text-xl font-semibold">Begin with this, {byEyeLimit(line, targetG, showing)}.</p>
      )}
      {line && !line.exact && line.counted === null && (
        <p className="quiet">≈ approximate: it was planned by {line.text}, and weighed it comes out true.</p>
      )}
      {task.plannedG !== null && Math.abs(targetG - task.plannedG) > 1e-6 && (
        <p className="quiet">Planned {showMass(task.plannedG, showing)}, brought to the base in the jug.</p>
      )}
    </>
  );
}

function plannedAs({ text, wets, blend, leaves, isOptional }: SheetLine): string {
  const mayStayOut = isOptional ? ', if you like' : '';
  if (wets) return `to wet what was planned as ${text}${leaves ? '; it leaves again' : ''}${mayStayOut}`;
  return blend ? `its part of ${blend}, planned as ${text}${mayStayOut}` : `planned as ${text}${mayStayOut}`;
}

const AS_AIMED = 0.0005;

function deviationText(
  weighedG: number,
  targetG: number,
  counted: CountedOut | null,
  showing: Showing,
): string {
  const deviation = (weighedG - targetG) / targetG;
  const isAsCounted =
    counted !== null && showCount(counted, weighedG, showing) === showCount(counted, targetG, showing);
  if (isAsCounted || Math.abs(deviation) < AS_AIMED) return 'Just as aimed at.';
  const share = showPercent(Math.abs(deviation), showing.locale);
  return `${share} ${deviation > 0 ? 'more' : 'less'}: ${showMass(Math.abs(weighedG - targetG), showing)} ${deviation > 0 ? 'over' : 'short'}.`;
}
