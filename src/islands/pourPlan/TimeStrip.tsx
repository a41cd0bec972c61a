import { useMemo, useRef, useState } from 'react';
import type { Sheet } from '../../core/plan/sheet';
import { later } from '../../core/pourPlan/clock';
import type { PourPlan } from '../../core/pourPlan/pourPlan';
import type { ScheduledTask } from '../../core/pourPlan/scheduledTask';
import type { Showing } from '../../core/units/showQuantity';
import { lengthWords } from '../../words/en/lengthWords';
import { showClock } from '../../words/en/showClock';
import { elapsedWords } from '../../words/en/showTime';
import { pourLetters } from '../../words/en/work/pourLetters';
import { KIND_NAMES } from '../../words/en/work/taskName';
import { taskWords } from '../../words/en/work/taskWords';
import { useWidth } from '../shared/useWidth';
import { BOND_WORDS } from './bondWords';
import { PourMarker } from './PourMarker';
import { type TimeScale, ticksOf, timeScale, withoutOverlap } from './timeScale';

interface Props {
  sheet: Sheet;
  pourPlan: PourPlan;
  /** It is of the sheet as it is now. */
  isCurrent: boolean;
  begins: string | null;
  pourIndex: number;
  showing: Showing;
  onWait(pourIndex: number, afterMin: number | null): void;
  onOpen(pourIndex: number): void;
}

/** Narrower than this a minute can't be told from the next, px. */
const LEAST_PX_PER_MIN = 4;

/** The pour plan to scale: what binds hands, what is in each jug, and what the mold does meanwhile. */
export function TimeStrip({ sheet, pourPlan, isCurrent, begins, pourIndex, showing, onWait, onOpen }: Props) {
  const lane = useRef<HTMLDivElement>(null);
  const stripPx = useWidth(lane);
  const now = useMemo(() => scaleOf(pourPlan), [pourPlan]);
  // While a pour is held, the ground under it keeps still.
  const [held, setHeld] = useState<TimeScale | null>(null);
  const scale = held ?? now;
  const jugs = [
    ...new Set(pourPlan.tasks.filter(({ kind }) => kind === 'melt').map(({ jugName }) => jugName)),
  ];
  const pours = pourPlan.tasks.filter(({ kind, load }) => kind === 'pour' && load === 0);
  const firstPours = pourPlan.layers.map(({ pourIndexes }) =>
    pours.find((task) => task.round === 0 && task.pourIndexes[0] === pourIndexes[0]),
  );
  const said = (task: ScheduledTask) => taskWords(task, sheet, showing);
  const offsetMin = begins === null ? 0 : Number(begins.slice(11, 13)) * 60 + Number(begins.slice(14, 16));
  const moment = (seconds: number) =>
    begins === null ? elapsedWords(seconds) : showClock(later(begins, seconds), showing.locale);

  const ticks = ticksOf(scale, offsetMin).map((seconds) => ({
    at: scale.at(seconds),
    words: moment(seconds),
  }));
  const breaks = scale.stretches
    .filter(({ isBreak }) => isBreak)
    .map(({ from, to, fromS, toS }) => ({
      at: (from + to) / 2,
      words: `… ${lengthWords(toS - fromS, showing.locale)} …`,
    }));

  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing that scrolls is no set of fields
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by the keyboard
    <div className="overflow-x-auto" role="group" aria-label="The pour plan to scale" tabIndex={0}>
      <div className="relative pl-24" style={{ minWidth: 96 + scale.lengthMin * LEAST_PX_PER_MIN }}>
        <Row label={begins === null ? 'h:min' : 'Clock'} high="h-4">
          {withoutOverlap(stripPx, breaks, ticks).map(({ at, words }) => (
            <span
              key={at}
              className="quiet absolute -translate-x-1/2 text-[11px] leading-4 whitespace-nowrap tabular-nums"
              style={{ left: `${at * 100}%` }}
            >
              {words}
            </span>
          ))}
        </Row>
        <Row label="Hands" high="h-5">
          {handBlocks(pourPlan.tasks).map(({ fromS, toS, words, shorter }) => (
            <Block
              key={fromS}
              fromS={fromS}
              toS={toS}
              scale={scale}
              stripPx={stripPx}
              title={`Hands from ${moment(fromS)} to ${moment(toS)}: ${words}`}
              shorter={shorter}
              className="bg-primary text-primary-content"
            >
              {words}
            </Block>
          ))}
        </Row>
        {jugs.map((jugName) => (
          <Row key={jugName} label={jugName === '' ? 'Jugs' : jugName} high="h-5">
            {pourPlan.tasks
              .filter((task) => task.jugName === jugName && IN_JUG.has(task.kind))
              .map((task) => (
                <Block
                  key={`${task.kind} ${task.fromS} ${task.pourIndexes.join()}`}
                  fromS={task.fromS}
                  toS={task.toS}
                  scale={scale}
                  stripPx={stripPx}
                  title={`${moment(task.fromS)}: ${said(task)}`}
                  className={JUG_LOOKS[task.kind] ?? ''}
                  shorter={[pourLetters(task.pourIndexes)]}
                  onClick={() => onOpen(task.pourIndexes[0] ?? 0)}
                >
                  {task.kind === 'melt'
                    ? `melt ${pourLetters(task.pourIndexes)}`
                    : KIND_NAMES[task.kind].toLowerCase()}
                </Block>
              ))}
          </Row>
        ))}
        <Row label="Mold" high="h-11">
          <div ref={lane} className="absolute inset-0">
            {pourPlan.tasks
              .filter(({ kind }) => IN_MOLD.has(kind))
              .map((task) => (
                <Block
                  key={`${task.kind} ${task.fromS} ${task.pourIndexes.join()}`}
                  fromS={task.fromS}
                  toS={task.toS}
                  scale={scale}
                  stripPx={stripPx}
                  title={`${moment(task.fromS)}: ${said(task)}`}
                  className={`${MOLD_LOOKS[task.kind] ?? ''} top-6`}
                >
                  {task.kind === 'skin'
                    ? `skin ${pourLetters(task.pourIndexes)}`
                    : KIND_NAMES[task.kind].toLowerCase()}
                </Block>
              ))}
            {pours
              .filter((task) => task.round > 0)
              .map((task) => (
                <span
                  key={`${task.round} ${task.fromS}`}
                  className="border-base-content absolute top-0 border-l-2 pl-0.5 text-xs leading-5 font-bold"
                  style={{ left: `${scale.at(task.fromS) * 100}%` }}
                  title={`${moment(task.fromS)}: ${said(task)}`}
                >
                  {pourLetters(task.pourIndexes)}
                </span>
              ))}
            {pourPlan.layers.map((layer, index) => {
              const own = firstPours[index];
              const before = firstPours[index - 1];
              if (!own) return null;
              if (!before || !layer.window)
                return (
                  <span
                    key={layer.letters}
                    className="border-base-content absolute inset-y-0 border-l-2 pl-1 text-xs leading-5 font-bold"
                    style={{ left: `${scale.at(own.fromS) * 100}%` }}
                    title={`${moment(own.fromS)}: ${said(own)}`}
                  >
                    {layer.letters}
                  </span>
                );
              const { earliest, latest, idealS } = layer.window;
              // The next window begins on this pour: what is left of its own would lie below.
              const endS = nextWindowS(pourPlan, index, firstPours[index]?.fromS ?? 0) - before.fromS;
              const band = (fromS: number, toS: number, className: string, words: string) => (
                <Block
                  fromS={before.fromS + fromS}
                  toS={before.fromS + Math.min(toS, endS)}
                  scale={scale}
                  stripPx={stripPx}
                  className={`top-0 h-5 ${className}`}
                  title={`${words}, from ${lengthWords(fromS, showing.locale)} to ${lengthWords(toS, showing.locale)} after ${pourPlan.layers[index - 1]?.letters}`}
                >
                  {words}
                </Block>
              );
              return (
                <div key={layer.letters}>
                  {band(earliest.low, earliest.middle, 'hatch-early', 'skin?')}
                  {Math.min(latest.middle, endS) > earliest.middle &&
                    band(
                      earliest.middle,
                      latest.middle,
                      'live border border-current',
                      `${layer.letters} ${BOND_WORDS.good}`,
                    )}
                  {Math.min(latest.high, endS) > Math.max(latest.middle, earliest.middle) &&
                    band(Math.max(latest.middle, earliest.middle), latest.high, 'hatch-late', 'weaker')}
                  <span
                    className="border-base-content absolute top-0 h-2.5 border-l-2 border-dotted"
                    style={{ left: `${scale.at(before.fromS + idealS) * 100}%` }}
                    title={`Best for ${layer.letters}: ${lengthWords(idealS, showing.locale)} after ${pourPlan.layers[index - 1]?.letters}`}
                  />
                  <PourMarker
                    layer={layer}
                    lettersBefore={pourPlan.layers[index - 1]?.letters ?? ''}
                    beforeS={before.fromS}
                    atS={own.fromS}
                    pendingMin={
                      isCurrent ? null : (sheet.pours[layer.pourIndexes[0] ?? 0]?.when.afterMin ?? null)
                    }
                    scale={scale}
                    lane={lane}
                    locale={showing.locale}
                    isSelected={layer.pourIndexes.includes(pourIndex)}
                    onMove={(afterMin) => onWait(layer.pourIndexes[0] ?? 0, afterMin)}
                    onOpen={() => onOpen(layer.pourIndexes[0] ?? 0)}
                    onHold={(isHeld) => setHeld(isHeld ? now : null)}
                  />
                </div>
              );
            })}
          </div>
        </Row>
      </div>
    </div>
  );
}

const IN_JUG: ReadonlySet<ScheduledTask['kind']> = new Set(['melt', 'stir-in', 'cool', 'rewarm']);
/** What is done to the bars afterwards binds hands, and stands there. */
const IN_MOLD: ReadonlySet<ScheduledTask['kind']> = new Set(['skin', 'set', 'freezer', 'unmold', 'wash']);
const JUG_LOOKS: Partial<Record<ScheduledTask['kind'], string>> = {
  melt: 'hatch-melt border border-current',
  'stir-in': 'bg-base-300',
  cool: 'border border-dashed border-current',
  rewarm: 'hatch-melt border border-current',
};
const MOLD_LOOKS: Partial<Record<ScheduledTask['kind'], string>> = {
  skin: 'h-5 border border-dashed border-current',
  set: 'h-5 border-t border-current',
  freezer: 'h-5 border border-double border-current',
  unmold: 'h-5 bg-base-300',
  wash: 'h-5 bg-base-300',
};

function Row({ label, high, children }: { label: string; high: string; children: React.ReactNode }) {
  return (
    <div className={`relative ${high} mb-0.5`}>
      <span
        className="quiet absolute inset-y-0 -left-24 flex w-[88px] items-center truncate text-xs"
        title={label}
      >
        <span className="truncate">{label}</span>
      </span>
      {children}
    </div>
  );
}

interface BlockProps {
  fromS: number;
  toS: number;
  scale: TimeScale;
  stripPx: number;
  className: string;
  title: string;
  children: string;
  /** Where the words do not fit, the longest first. */
  shorter?: readonly string[];
  onClick?(): void;
}

function Block({
  fromS,
  toS,
  scale,
  stripPx,
  className,
  title,
  children,
  shorter = [],
  onClick,
}: BlockProps) {
  const [from, to] = [scale.at(fromS), scale.at(toS)];
  const style = { left: `${from * 100}%`, width: `${Math.max(0, to - from) * 100}%` };
  const look = `absolute flex h-5 items-center overflow-hidden rounded-sm px-0.5 text-[11px] leading-none whitespace-nowrap ${className}`;
  // The list tells the same for the keyboard and for readers; here a click is a short cut.
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: see above
    // biome-ignore lint/a11y/useKeyWithClickEvents: see above
    <span className={look} style={style} title={title} onClick={onClick}>
      {[children, ...shorter].find((words) => fits(words, (to - from) * stripPx)) ?? ''}
    </span>
  );
}

/** A letter of a block is about so wide. Words that would be cut off are left to the tooltip and the list. */
const LETTER_PX = 5.6;

function fits(words: string, widthPx: number): boolean {
  return words.length * LETTER_PX < widthPx;
}

function scaleOf({ tasks, layers, done }: PourPlan): TimeScale {
  const busy = tasks
    .filter(({ kind }) => kind !== 'set' && kind !== 'harden')
    .map(({ fromS, toS }) => ({ fromS, toS }));
  // A window that lies open for hours is only begun.
  const windows = layers.flatMap(({ window, pourIndexes, afterS }) => {
    const own = tasks.find(({ kind, pourIndexes: of }) => kind === 'pour' && of[0] === pourIndexes[0]);
    return window && own
      ? [
          {
            fromS: own.fromS,
            toS: own.fromS - afterS + Math.min(window.latest.middle, window.earliest.high + 1200),
          },
        ]
      : [];
  });
  return timeScale(
    [...busy, ...windows],
    Math.max(done.middle, ...tasks.filter(({ kind }) => kind !== 'harden').map(({ toS }) => toS)),
  );
}

/** Stretches that bind hands, run together where one follows the other. */
function handBlocks(tasks: readonly ScheduledTask[]) {
  const blocks: { fromS: number; toS: number; names: string[]; letters: string }[] = [];
  for (const task of tasks.filter(({ hands }) => hands)) {
    const name = `${KIND_NAMES[task.kind].toLowerCase()}${task.pourIndexes.length > 0 ? ` ${pourLetters(task.pourIndexes)}` : ''}`;
    const before = blocks.at(-1);
    if (before && task.fromS <= before.toS + 20) {
      before.toS = Math.max(before.toS, task.toS);
      before.names.push(name);
    } else
      blocks.push({
        fromS: task.fromS,
        toS: task.toS,
        names: [name],
        letters: pourLetters(task.pourIndexes),
      });
  }
  return blocks.map(({ fromS, toS, names, letters }) => ({
    fromS,
    toS,
    words: names.join(', '),
    shorter: [...(names.length > 1 ? [`${names[0]} …`] : []), letters],
  }));
}

/** When the window of the next layer opens at the earliest; the pour itself where it is late already. */
function nextWindowS({ layers }: PourPlan, index: number, atS: number): number {
  const window = layers[index + 1]?.window;
  return window ? atS + window.earliest.low : Number.POSITIVE_INFINITY;
}
