import type { Reading, Taught } from '../../../core/heat/taught';
import { fail, ok, type Result } from '../../../core/result';
import type { TeachRequest } from '../../../core/schedule/teachFrom';
import { parseFigure } from '../../../core/units/parseFigure';
import { type ReadingTime, readLengthS, readReadings } from '../../../formats/readings';
import { explainFigureFault } from '../../../words/en/units/figureFault';

/** What is taught, and by what. */
export const WAYS = {
  jug: 'the jug, by a thermometer in it',
  mold: 'the mold, by a thermometer in its first pour',
  touch: 'the mold, by touch',
} as const;
export type Way = keyof typeof WAYS;

/** What is typed for a lesson. */
export interface LessonTexts {
  text: string;
  time: ReadingTime;
  room: string;
  content: string;
}

/** Whom and what a lesson is about. */
export interface LessonAbout {
  unit: '°C' | '°F';
  pourIndex: number;
  /** Of the layer that the pour is in. */
  layerIndex: number;
  /** Of the layers after the first, s. */
  waits: number[];
  /** null where there is no jug to be taught. */
  holdsMl: number | null;
  baseName: string;
  planName: string;
}

/** What is asked of the model, with what is kept of it when its answer is. */
export interface Lesson {
  request: TeachRequest;
  /** Where it comes from; the curve is added with the answer. */
  from: Taught['from'];
  readings: Reading[];
}

const TOUCH_S = [10, 86_400] as const;
const CONTENT = { unit: 'g', least: 5, most: 50_000 };

/** The lesson that texts say, or one sentence on the first that can't be read. */
export function readLesson(way: Way, texts: LessonTexts, about: LessonAbout): Result<Lesson, string> {
  if (way === 'touch') return touchLesson(texts.text, about);
  const { unit, pourIndex, holdsMl, baseName } = about;
  const readings = readReadings(texts.text, texts.time, unit);
  if (!readings.success) return fail(`Readings, line ${readings.error.line}: ${readings.error.reason}`);
  const room = readRoom(texts.room, unit);
  if (!room.success) return room;
  const common = { readings: readings.data, roomC: room.data };
  const from = (contentG: number | null) => ({
    is: 'readings' as const,
    ...common,
    contentG,
    baseName,
    curve: [],
  });
  if (way === 'mold')
    return ok({ request: { of: 'mold', ...common }, from: from(null), readings: readings.data });
  const content = parseFigure(texts.content, CONTENT);
  if (!content.success) return fail(`In the jug: ${explainFigureFault(content.error, CONTENT)}`);
  if (holdsMl === null) return fail('This pour has no jug of its own to be taught.');
  return ok({
    request: { of: 'jug', holdsMl, contentG: content.data, pourIndex, ...common },
    from: from(content.data),
    readings: readings.data,
  });
}

function touchLesson(text: string, { layerIndex, waits, planName }: LessonAbout): Result<Lesson, string> {
  const carriedS = readLengthS(text);
  if (carriedS === null || !(carriedS >= TOUCH_S[0] && carriedS <= TOUCH_S[1]))
    return fail('Carried after: write how long after pouring, such as 6:40.');
  return ok({
    request: { of: 'touch', layerIndex, waits, carriedS },
    from: { is: 'touch', carriedS, planName },
    readings: [],
  });
}

function readRoom(text: string, unit: '°C' | '°F'): Result<number, string> {
  if (text.trim() === '')
    return fail(
      'Room: its temperature is missing. Without it nothing can be learnt; read the thermometer on the wall.',
    );
  const isF = unit === '°F';
  const rule = { unit, least: isF ? 32 : 0, most: isF ? 120 : 50 };
  const read = parseFigure(text, rule);
  if (!read.success) return fail(`Room: ${explainFigureFault(read.error, rule)}`);
  return ok(isF ? (read.data - 32) / 1.8 : read.data);
}
