import type { Burst } from '../heat/melt';
import { pourLetter } from '../plan/plan';
import type { Sheet } from '../plan/sheet';
import { type Showing, showMass, showNumber, showPercent, showTemperature } from '../units/showQuantity';
import type { Job } from './job';
import { lengthWords, rangeWords } from './lengthWords';
import type { PourPlan } from './pourPlan';

/** What one does in a stretch of the pour plan, in a sentence. */
export function jobWords(job: Job, sheet: Sheet, plan: PourPlan, showing: Showing): string {
  const { kind, pourIndexes, tempC, jugName, massG } = job;
  const letters = lettersOf(pourIndexes);
  const load = job.loads > 1 ? `, melt ${job.load + 1} of ${job.loads}` : '';
  const heat = tempC === null ? '' : showTemperature(tempC, showing);
  const inJug = jugName === '' ? '' : ` in the ${jugName}`;
  const base = sheet.pours[pourIndexes[0] ?? -1]?.base.name ?? '';
  const ends = job.ends
    ? rangeWords(
        { low: job.ends.low - job.fromS, middle: 0, high: job.ends.high - job.fromS },
        showing.locale,
      )
    : '';
  switch (kind) {
    case 'melt':
      return `Melt ${massG === null ? '' : `${showMass(massG, showing)} `}${base} for ${letters}${inJug}${load}: ${job.bursts ? burstWords(job.bursts, showing.locale) : 'over hot, not boiling water'}, to ${heat}.`;
    case 'stir-in':
      return stirWords(sheet, pourIndexes[0] ?? 0, inJug);
    case 'cool':
      return `Let ${letters} cool to ${heat}${inJug}.`;
    case 'rewarm':
      return `Warm ${letters} up to ${heat} again: 10 s, stir, look.`;
    case 'pour':
      return `Pour ${letters} at ${heat}${load}.${embedWordsOf(sheet, pourIndexes)}`;
    case 'skin':
      return `Skin of ${letters}: ${ends}. Touch the edge: it must not move.`;
    case 'freezer':
      return `In the freezer for ${lengthWords(job.toS - job.fromS, showing.locale)}.`;
    case 'set':
      return `It sets: ${ends} until its core is at ${showTemperature(plan.unmoldC, showing)}.`;
    case 'unmold':
      return 'Out of the mold.';
    case 'wash':
      return 'Wipe the mold for the next filling.';
    case 'cut':
      return 'Cut: firm, not brittle. Away from yourself.';
    case 'harden':
      return `It hardens for ${lengthWords(job.toS - job.fromS, showing.locale)}.`;
    case 'wrap':
      return 'Wrap.';
  }
}

const MOST_NAMED = 4;

/** What is added to a jug before a pour. */
function stirWords({ pours }: Sheet, pourIndex: number, inJug: string): string {
  const names = (pours[pourIndex]?.lines ?? [])
    .filter(({ addG }) => addG > 1e-6)
    .map(({ material }) => material.name);
  const letter = pourLetter(pourIndex);
  if (names.length === 0) return `Stir ${letter} slowly${inJug}.`;
  const more = names.length - MOST_NAMED;
  const named = more > 1 ? [...names.slice(0, MOST_NAMED), `${more} more`] : names;
  return `Stir ${named.join(', ')} into ${letter}${inJug}.`;
}

export function lettersOf(pourIndexes: readonly number[]): string {
  const letters = pourIndexes.map(pourLetter);
  return letters.length > 2 ? `${letters[0]} to ${letters.at(-1)}` : letters.join(' and ');
}

/** Bursts as one would say them: like ones together. */
export function burstWords(bursts: readonly Burst[], locale: string): string {
  const said: { words: string; times: number }[] = [];
  for (const { lengthS, power } of bursts) {
    if (lengthS === 0) continue;
    const words = `${showNumber(lengthS, 0, locale)} s${power < 1 ? ` at ${showPercent(power, locale, 0)} power` : ''}`;
    const before = said.at(-1);
    if (before?.words === words) before.times++;
    else said.push({ words, times: 1 });
  }
  return `bursts of ${said.map(({ words, times }) => (times > 1 ? `${times} × ${words}` : words)).join(', ')}, stir between`;
}

function embedWordsOf({ pours }: Sheet, pourIndexes: readonly number[]): string {
  const names = pourIndexes.flatMap((index) => pours[index]?.embeds.map(({ name }) => name) ?? []);
  return names.length > 0 ? ` Set in ${names.join(', ')}.` : '';
}

/** A job's name on the strip. */
export const JOB_NAMES = {
  melt: 'Melt',
  'stir-in': 'Stir in',
  cool: 'Cools',
  rewarm: 'Rewarm',
  pour: 'Pour',
  skin: 'Skin',
  freezer: 'Freezer',
  set: 'Sets',
  unmold: 'Unmold',
  wash: 'Wipe',
  cut: 'Cut',
  harden: 'Hardens',
  wrap: 'Wrap',
} as const satisfies Record<Job['kind'], string>;
