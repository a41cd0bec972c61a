import type { Reading } from '../core/heat/taught';
import { fail, ok, type Result } from '../core/result';
import { parseNumber } from '../core/units/parseNumber';

export const READING_TIMES = ['minutes', 'seconds', 'clock'] as const;
export type ReadingTime = (typeof READING_TIMES)[number];

/** A line that is no reading, and why. */
export interface ReadingFault {
  line: number;
  reason: string;
}

const MOST = 2000;
const DAY_S = 86_400;

/**
 * Readings of a thermometer, one a line: time, then temperature, parted by a space, a tab, a semicolon or a comma. A first
 * line of words is a heading. Minutes may be written 2.5 or 2:30; a clock 14:05 or 14:05:30, and may pass midnight.
 *
 * @returns s from the first reading, °C; or the first line that can't be read
 */
export function readReadings(
  text: string,
  time: ReadingTime,
  unit: '°C' | '°F',
): Result<Reading[], ReadingFault> {
  const readings: Reading[] = [];
  const lines = text.split(/\r\n|\r|\n/);
  let dayS = 0;
  for (const [index, line] of lines.entries()) {
    const fault = (reason: string) => fail({ line: index + 1, reason });
    const cells = cellsOf(line);
    if (cells.length === 0) continue;
    const isHeading = readings.length === 0 && !/\d/.test(cells[0] ?? '');
    if (isHeading) continue;
    if (cells.length !== 2)
      return fault(
        `“${line.trim().slice(0, 30)}” is not a time and a temperature. Write 2:30 64.5, one reading a line.`,
      );
    const timeS = secondsOf(cells[0] ?? '', time);
    if (timeS === null)
      return fault(
        `“${(cells[0] ?? '').slice(0, 20)}” is not a time in ${time === 'clock' ? 'hours and minutes, 14:05' : time}.`,
      );
    const number = parseNumber((cells[1] ?? '').replace(/\s*°?\s*[CF]$/i, ''));
    if (!number.success) return fault(`“${(cells[1] ?? '').slice(0, 20)}” is not a temperature.`);
    if (number.data.rest.trim() !== '')
      return fault(`“${(cells[1] ?? '').slice(0, 20)}” is not a temperature.`);
    const tempC = unit === '°F' ? (number.data.value - 32) / 1.8 : number.data.value;
    if (!(tempC >= -30 && tempC <= 120))
      return fault(`${(cells[1] ?? '').slice(0, 20)} ${unit} is no temperature of soap. Is it in ${unit}?`);
    const last = readings.at(-1);
    const whole = timeS + dayS;
    if (time === 'clock' && last && whole < last.timeS - DAY_S / 2) dayS += DAY_S;
    readings.push({ timeS: timeS + dayS, tempC });
    if (readings.length > MOST) return fault(`More than ${MOST} readings. Leave out every second line.`);
  }
  const first = readings[0]?.timeS ?? 0;
  return ok(readings.map(({ timeS, tempC }) => ({ timeS: timeS - first, tempC })));
}

function cellsOf(line: string): string[] {
  const trimmed = line.trim();
  if (trimmed === '') return [];
  for (const mark of [/;/, /\t/, /\s+(?=[-+.\d])/, /,/]) {
    const cells = trimmed.split(mark).map((cell) => cell.trim().replace(/^"|"$/g, '').replace(/,$/, ''));
    if (cells.length > 1) return cells;
  }
  return [trimmed];
}

function secondsOf(text: string, time: ReadingTime): number | null {
  const parts = /^(\d+):([0-5]?\d)(?::([0-5]?\d))?$/.exec(text);
  if (parts) {
    const [a, b, c] = [Number(parts[1]), Number(parts[2]), parts[3] === undefined ? null : Number(parts[3])];
    if (time === 'clock') return a < 24 ? a * 3600 + b * 60 + (c ?? 0) : null;
    return c === null ? a * 60 + b : a * 3600 + b * 60 + c;
  }
  if (time === 'clock') return null;
  const number = parseNumber(text);
  if (!number.success || number.data.rest.trim() !== '' || !(number.data.value >= 0)) return null;
  return time === 'minutes' ? number.data.value * 60 : number.data.value;
}

/** A length of time as it is typed: 6:40, or 7 for minutes. Null when it is none. */
export function readLengthS(text: string): number | null {
  return secondsOf(text.trim(), 'minutes');
}
