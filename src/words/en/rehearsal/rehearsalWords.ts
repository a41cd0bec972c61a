import type { Sheet } from '../../../core/plan/sheet';
import type { Dare } from '../../../core/rehearsal/dares';
import type { Mishap, MishapKind } from '../../../core/rehearsal/mishaps';
import type { BondMade, Outcome } from '../../../core/run/outcome';
import type { TaskState } from '../../../core/run/taskStates';
import { type Showing, showPercent, showTemperature } from '../../../core/units/showQuantity';
import { lengthWords } from '../lengthWords';
import { stopwatchWords } from '../showTime';
import { taskName } from '../work/taskName';

/** What may go wrong, before it does. */
export const MISHAP_NAMES: Record<MishapKind, string> = {
  telephone: 'The telephone rings',
  'heavy-base': 'A base is cut 4 % heavy',
  'cold-room': 'The room is colder than planned',
  unplugged: 'The scale goes dead',
  'early-touch': 'Somebody touches a layer too early',
};

/**
 * A mistake that is made on purpose: its name, what practising it shows, what to do when it comes, and what a plan lacks
 * that can't have it.
 */
export const DARE_WORDS: Record<Dare, { name: string; shows: string; told: string; lacks: string }> = {
  'too-hot': {
    name: 'Pour too hot',
    shows: 'What a hot layer does to the one below it.',
    told: 'Do not wait for the jug: pour it as hot as it is.',
    lacks: 'nothing is poured',
  },
  'too-late': {
    name: 'Pour too late',
    shows: 'When two layers no longer join, and what helps.',
    told: 'Leave it alone, then pour it without warming it again.',
    lacks: 'no layer is poured onto another',
  },
  'dose-first': {
    name: 'Dose before the base is weighed',
    shows: 'Why a dose has to wait for the scale.',
    told: 'Try to weigh a dose first: choose it in the list.',
    lacks: 'it has no dose',
  },
  'small-jug': {
    name: 'Melt in a jug that is too small',
    shows: 'What several melts of one layer cost.',
    told: 'Only the smallest jug is there. Count the melts.',
    lacks: 'the house rules have no jug',
  },
  'long-freezer': {
    name: 'Leave it in the freezer too long',
    shows: 'What the freezer is good for, and for how long.',
    told: 'Forget it in the freezer, then unmold it.',
    lacks: 'it goes into no freezer',
  },
};

/** What just went wrong. Null for what is not noticed when it does. */
export function mishapWords(mishap: Mishap, tasks: readonly TaskState[], sheet: Sheet): string | null {
  const named = (id: string) => {
    const task = tasks.find((each) => each.id === id);
    return task ? taskName(task, sheet) : '';
  };
  switch (mishap.kind) {
    case 'telephone':
      return `The telephone rang. ${Math.round(mishap.lengthS / 60)} minutes have passed.`;
    case 'unplugged':
      return 'The scale has gone dead. Type the weight, or plug it in again.';
    case 'early-touch':
      return `${named(mishap.taskId)}: somebody touched it. It does not carry yet, and a dent stays.`;
    case 'heavy-base':
    case 'cold-room':
      return null;
  }
}

/** What went wrong, as it is told at the end. */
export function mishapAfterwards(mishap: Mishap, tasks: readonly TaskState[], sheet: Sheet): string {
  const task = 'taskId' in mishap ? tasks.find(({ id }) => id === mishap.taskId) : undefined;
  const name = task ? taskName(task, sheet) : '';
  switch (mishap.kind) {
    case 'telephone':
      return `The telephone kept you for ${Math.round(mishap.lengthS / 60)} minutes before “${name}”.`;
    case 'heavy-base':
      return `“${name}” was cut ${Math.round((mishap.times - 1) * 100)} % heavy. Its doses follow what is really in the jug; cut some off only where the mold would run over.`;
    case 'cold-room':
      return `The room was ${mishap.byK} K colder than planned: skins form sooner and windows close sooner. Read the room at the start.`;
    case 'unplugged':
      return `The scale went dead at “${name}”.`;
    case 'early-touch':
      return `${name.replace(/: .*/, '')} was touched too early. Wait for the call, and touch at the rim.`;
  }
}

/** How a layer met the one below, and what to do otherwise. */
export function bondWords(
  { below, above, bond, afterS, earliestS, latestS, tempC }: BondMade,
  showing: Showing,
): { title: string; sentence: string } {
  const poured = `${above} went on after ${stopwatchWords(afterS)} min at ${showTemperature(tempC, showing)}`;
  const window =
    latestS > earliestS
      ? `its window is from ${stopwatchWords(earliestS)} to ${stopwatchWords(latestS)} min`
      : `${below} carries from ${stopwatchWords(earliestS)} min, and no longer joins then`;
  switch (bond) {
    case 'broken':
      return {
        title: `${above} broke through ${below}`,
        sentence: `${poured}; ${window}. Wait until it carries, or let the jug cool further.`,
      };
    case 'weak':
      return {
        title: `${above} does not join ${below}`,
        sentence: `${poured}; ${window}. Pour sooner, rewarm the jug, or score and spritz the layer below.`,
      };
    case 'deep':
    case 'good':
      return { title: `${above} joins ${below}`, sentence: `${poured}; ${window}.` };
  }
}

/** All but the bonds: what else came of it, worst first. */
export function outcomeWords(
  { tooHot, off, freezer, lateS, open }: Outcome,
  sheet: Sheet,
  showing: Showing,
): string[] {
  const { locale } = showing;
  return [
    ...(open > 0 ? [`It was ended with ${open} ${open === 1 ? 'task' : 'tasks'} to go.`] : []),
    ...tooHot.map(
      ({ letters, tempC, ceilingC }) =>
        `${letters} was poured at ${showTemperature(tempC, showing)}; its base bears ${showTemperature(ceilingC, showing)}. Let it cool first: too hot it foams, loses scent and warps molds.`,
    ),
    ...off.map(
      ({ task, deviation }) =>
        `${taskName(task, sheet)}: ${showPercent(Math.abs(deviation), locale)} ${deviation > 0 ? 'more' : 'less'} than aimed at.`,
    ),
    ...(freezer && freezer.wasS > 2 * freezer.plannedS
      ? [
          `In the freezer for ${lengthWords(freezer.wasS, locale)} and not ${lengthWords(freezer.plannedS, locale)}: it sweats as it warms, and may crack.`,
        ]
      : []),
    ...(Math.abs(lateS) < 60
      ? ['As long as it was planned to take.']
      : [`${lengthWords(Math.abs(lateS), locale)} ${lateS > 0 ? 'longer' : 'shorter'} than planned.`]),
  ];
}

/** What a mistake that was made on purpose is to teach. */
export function dareAfterwards(dare: Dare, tasks: readonly TaskState[]): string {
  const melts = tasks.filter(({ kind }) => kind === 'melt').length;
  switch (dare) {
    case 'too-hot':
      return 'Heat is not only the base’s: a hot pour melts the layer below, and carries scent off.';
    case 'too-late':
      return 'A skin that has gone cold no longer melts into what comes on it. Heat or a scored, wetted face helps.';
    case 'dose-first':
      return 'A dose is a share of what is really in the jug, so the bench keeps it shut until the base is weighed.';
    case 'small-jug':
      return `A jug too small takes ${melts} ${melts === 1 ? 'melt' : 'melts'}, and the first is cold before the last is poured.`;
    case 'long-freezer':
      return 'The freezer helps a bar out of its mold; water from the air settles on what stays there longer.';
  }
}
