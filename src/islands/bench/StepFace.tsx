import { useEffect, useRef, useState } from 'react';
import type { Finding } from '../../core/checks/finding';
import { sayFinding } from '../../core/checks/review';
import type { HouseRules } from '../../core/houseRules/houseRules';
import { ceiling } from '../../core/materials/defaults';
import type { SheetLine } from '../../core/plan/sheet';
import { embedWords } from '../../core/run/embedWords';
import { meltWords } from '../../core/run/meltWords';
import { pourWords } from '../../core/run/pourWords';
import type { Run, RunEvent } from '../../core/run/run';
import type { StepState } from '../../core/run/runState';
import { parseMass } from '../../core/units/parseMass';
import { explainQuantityFault } from '../../core/units/parseQuantity';
import { massUnit, type Showing, showMass, showMassFigure, showPercent } from '../../core/units/showQuantity';
import { DeviationBand } from './DeviationBand';
import { Keypad } from './Keypad';
import { stepName } from './stepName';

interface Props {
  run: Run;
  step: StepState;
  typed: string;
  rules: HouseRules;
  showing: Showing;
  sending: boolean;
  cautions: Finding[];
  onType(text: string): void;
  onTick(event: RunEvent): void;
  onUndo(): void;
  /** Back to the step that is open; null when this is it. */
  onBack: (() => void) | null;
}

/** The step in hand: one sentence, one figure, one thing to press. */
export function StepFace(props: Props) {
  const { run, step, rules, showing, sending, cautions, onTick, onUndo, onBack } = props;
  if (step.doneAt !== null) {
    return (
      <section className="plate flex flex-1 flex-col items-start justify-center gap-4 p-8" aria-live="polite">
        <h2 className="text-3xl font-semibold">{stepName(step, run.sheet)} is ticked</h2>
        {step.actualG !== null && step.targetG !== null && (
          <p className="text-xl">
            {showMass(step.actualG, showing)} was weighed; {showMass(step.targetG, showing)} was aimed at.
          </p>
        )}
        <div className="flex gap-3">
          <button type="button" className="btn btn-lg btn-secondary" disabled={sending} onClick={onUndo}>
            Undo this tick
          </button>
          {onBack && (
            <button type="button" className="btn btn-lg btn-primary" onClick={onBack}>
              Back to the open step
            </button>
          )}
        </div>
      </section>
    );
  }
  if (step.targetG === null) {
    return (
      <section className="plate flex flex-1 flex-col p-6">
        <h2 className="text-2xl font-semibold">{stepName(step, run.sheet)}</h2>
        <p className="my-4 flex-1 text-3xl leading-snug">{doing(step, run, rules, showing)}</p>
        {cautions.map((finding) => (
          <p key={finding.code + finding.about} className="text-warning font-semibold">
            {sayFinding(finding, showing).title}
          </p>
        ))}
        <NextButton sending={sending} onPress={() => onTick({ type: 'done', stepId: step.id })}>
          Done
        </NextButton>
      </section>
    );
  }
  return <WeighFace {...props} targetG={step.targetG} />;
}

function doing(step: StepState, { sheet }: Run, rules: HouseRules, showing: Showing): string {
  const pour = sheet.pours[step.pourIndex];
  if (step.kind === 'melt' && pour) {
    return meltWords(rules.meltIn, ceiling(pour.base).value, showing);
  }
  if (step.kind === 'stir-in' && pour) {
    const names = step.lineIndexes.map((index) => pour.lines[index]?.material.name).join(', ');
    return step.from === 'beaker'
      ? `Stir ${names} in one beaker until it is clear, and pour it into the jug.`
      : `Stir ${names} to a paste without specks, scrape it into the jug, and stir sides and bottom.`;
  }
  if (step.kind === 'set-embeds') return embedWords(sheet, step, showing);
  return pourWords(sheet, step.pourIndex, rules, showing);
}

function WeighFace({
  run,
  step,
  typed,
  showing,
  sending,
  targetG,
  rules: { cutStepG },
  onType,
  onTick,
  onBack,
}: Props & { targetG: number }) {
  const input = useRef<HTMLInputElement>(null);
  const [asked, setAsked] = useState(false);
  useEffect(() => input.current?.focus(), []);
  const parsed = parseMass(typed, showing.system);
  const weighedG = parsed.success && parsed.data > 0 ? parsed.data : null;
  const isBase = step.kind === 'weigh-base';
  const line =
    step.kind === 'weigh-dose' ? run.sheet.pours[step.pourIndex]?.lines[step.lineIndex] : undefined;
  const isBad = (asked || typed.trim() !== '') && weighedG === null;

  function tick() {
    setAsked(true);
    if (weighedG === null) input.current?.focus();
    else onTick({ type: 'weighed', stepId: step.id, massG: weighedG });
  }

  return (
    <section className="plate grid flex-1 grid-rows-[1fr_auto] gap-x-6 p-5 md:grid-cols-[1fr_280px]">
      <div className="flex min-w-0 flex-col">
        <h2 className="text-2xl font-semibold">
          {isBase
            ? `Cut and weigh ${stepName(step, run.sheet)}`
            : `${stepName(step, run.sheet)} into the ${step.kind === 'weigh-dose' ? step.into : 'jug'}`}
          {line && <span className="quiet text-lg font-normal"> · {plannedAs(line)}</span>}
        </h2>
        <p
          className="font-mono leading-none font-semibold tracking-tight text-[clamp(4.5rem,13vw,10rem)]"
          data-testid="target"
        >
          {showMassFigure(targetG, showing)}
          <span className="text-5xl"> {massUnit(showing.system)}</span>
        </p>
        {line && !line.exact && (
          <p className="quiet">
            ≈ approximate: it was planned by {line.text}, and weighed it comes out true.
          </p>
        )}
        {!isBase && step.plannedG !== null && Math.abs(targetG - step.plannedG) > 1e-6 && (
          <p className="quiet">Planned {showMass(step.plannedG, showing)}, brought to the base in the jug.</p>
        )}
        {isBase && cutStepG > 0 && (
          <p className="quiet">
            Cut up to {showMass(Math.ceil(targetG / cutStepG - 1e-9) * cutStepG, showing)}: what is over goes
            along with its doses.
          </p>
        )}
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
      <Keypad onKey={(key) => onType(key === 'back' ? typed.slice(0, -1) : `${typed}${key}`)} />
      <div className="md:col-span-2">
        <NextButton sending={sending} onPress={tick}>
          Tick
        </NextButton>
        {onBack && (
          <button type="button" className="btn btn-ghost mt-1 w-full" onClick={onBack}>
            Back to the open step
          </button>
        )}
      </div>
    </section>
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
