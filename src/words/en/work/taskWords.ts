import { meltedName } from '../../../core/plan/baseParts';
import { packedCount } from '../../../core/plan/packed';
import type { Sheet } from '../../../core/plan/sheet';
import type { ScheduledTask } from '../../../core/schedule/scheduledTask';
import { type Showing, showMass, showTemperature } from '../../../core/units/showQuantity';
import { partOfRound, piecesOfRound } from '../../../core/work/rounds';
import { weighedLine } from '../../../core/work/weighedLine';
import { lengthWords, rangeWords } from '../lengthWords';
import { listed } from '../plural';
import { showAmountOut } from '../units/showCount';
import { baseSplitWords } from './baseWords';
import { byEyeWords } from './byEyeWords';
import { inclusionAmount } from './inclusionAmount';
import { layWords } from './layWords';
import { burstWords } from './meltWords';
import { moldsWords } from './moldsWords';
import { pourLetters } from './pourLetters';
import { pourNoteWords } from './pourNoteWords';

/** A task on one line: what is done, with its weight apart where it has one. */
export interface TaskParts {
  before: string;
  /** A weight, or a count with its weight; null where nothing is weighed. */
  figure: string | null;
  after: string;
}

/** What is done in a task, on one line: how much of what, into which jug, how warm, how long. */
export function taskWords(task: ScheduledTask, sheet: Sheet, showing: Showing): string {
  const { before, figure, after } = taskParts(task, sheet, showing);
  return [before, figure, after].filter(Boolean).join(' ');
}

export function taskParts(task: ScheduledTask, sheet: Sheet, showing: Showing): TaskParts {
  const pour = sheet.pours[task.pourIndexes[0] ?? -1];
  const letters = pourLetters(task.pourIndexes);
  const mass = (massG: number) => showMass(massG, showing);
  switch (task.kind) {
    case 'weigh-base': {
      const split = pour ? baseSplitWords(pour, task.massG, showing) : null;
      return {
        before: 'Cut and weigh',
        figure: mass(task.massG),
        after: `${pour ? meltedName(pour) : ''} for ${letters}${loadOf(task)}${upTo(task.massG, task.cutG, showing)}${split ? `: ${split}` : ''}.`,
      };
    }
    case 'weigh-dose': {
      const line = weighedLine(sheet, task);
      const into = task.into === 'jug' ? letters : `the ${task.into} for ${letters}`;
      const counted = line?.counted ?? null;
      return {
        before: line?.exact === false && !counted ? '≈' : '',
        figure: showAmountOut(counted, task.massG, showing),
        after: `${line?.material.name} into ${into}${loadOf(task)}${line ? byEyeWords(line, task.massG, showing) : ''}${line?.isOptional ? ', if you like' : ''}.`,
      };
    }
    default:
      return { before: '', figure: null, after: plainWords(task, sheet, showing) };
  }
}

function loadOf({ load, loads }: ScheduledTask): string {
  return loads > 1 ? `, melt ${load + 1} of ${loads}` : '';
}

type Plain = Exclude<ScheduledTask, { kind: 'weigh-base' | 'weigh-dose' }>;

function plainWords(task: Plain, sheet: Sheet, showing: Showing): string {
  const pour = sheet.pours[task.pourIndexes[0] ?? -1];
  const letters = pourLetters(task.pourIndexes);
  const inJug = task.jugs.length === 0 ? '' : ` in the ${listed(task.jugs.map(({ name }) => name))}`;
  const heat = (tempC: number) => showTemperature(tempC, showing);
  switch (task.kind) {
    case 'melt':
      return `Melt ${letters}${inJug}${loadOf(task)}: ${task.melt && !task.melt.bursts ? 'over hot, not boiling water' : burstWords(task.melt?.bursts ?? [], showing.locale)}${task.melt ? `, to ${heat(task.melt.endC)}` : ''}.`;
    case 'stir-in': {
      const names = task.lineIndexes.map((index) => pour?.lines[index]?.material.name).join(', ');
      return `Stir ${names} in one ${task.from}, and add it to ${letters}.`;
    }
    case 'lay':
      return layWords(task, sheet, showing);
    case 'inclusions': {
      const all = (pour?.embeds ?? [])
        .filter(({ embedIndex }) => task.embedIndexes.includes(embedIndex))
        .map((embed) => `${inclusionAmount(embed, partOfRound(sheet, task.round), showing)} of ${embed.name}`)
        .join(', ');
      return task.isFilling ? `Share out ${all} for ${letters}.` : `Set ${all} into ${letters}.`;
    }
    case 'cool':
      return `Let ${letters} cool to ${heat(task.tempC)}${inJug}.`;
    case 'rewarm':
      return `Warm ${letters} up to ${heat(task.tempC)} again: 10 s, stir, look.`;
    case 'spritz':
      return `Spritz the layer below ${letters} with alcohol.`;
    case 'pour':
      return [
        `Pour ${letters} at ${heat(task.tempC)}${loadOf(task)}.`,
        moldsWords(sheet, task),
        pourNoteWords(sheet.pours, task.pourIndexes),
      ]
        .filter((sentence) => sentence !== '')
        .join(' ');
    case 'skin':
      return `Skin of ${letters}${endsWords(task, showing)}. Touch the edge: it must not move.`;
    case 'freezer':
      return `In the freezer for ${lengthWords(task.toS - task.fromS, showing.locale)}.`;
    case 'set':
      return `It sets${endsWords(task, showing)}, until its core is cold enough to come out.`;
    case 'unmold':
      return 'Out of the mold.';
    case 'wash':
      return 'Wipe the mold for the next round.';
    case 'cut-bars':
      return 'Cut: firm, not brittle. Away from yourself.';
    case 'harden':
      return `It hardens for ${lengthWords(task.toS - task.fromS, showing.locale)}.`;
    case 'wrap':
      return sheet.packaging.length === 0 ? 'Wrap.' : `Wrap: ${packagingWords(sheet, task.round)}.`;
  }
}

/** “6 × Kraft band, 1 × Box of six”, for the pieces of a round by the sheet. */
function packagingWords(sheet: Sheet, round: number): string {
  const pieces = Math.ceil(piecesOfRound(sheet, round) - 1e-9);
  return sheet.packaging.map((packed) => `${packedCount(packed, pieces)} × ${packed.name}`).join(', ');
}

function upTo(massG: number, cutG: number, showing: Showing): string {
  const [need, cut] = [showMass(massG, showing), showMass(cutG, showing)];
  return need === cut ? '' : `, cut up to ${cut}`;
}

function endsWords({ ends, fromS }: ScheduledTask, { locale }: Showing): string {
  if (!ends) return '';
  return `: ${rangeWords({ low: ends.low - fromS, middle: 0, high: ends.high - fromS }, locale)}`;
}
