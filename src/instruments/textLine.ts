import { G_PER_LB, G_PER_OZ } from '../core/units/factors';
import type { Reading } from './reading';

const TO_G: ReadonlyMap<string, number> = new Map([
  ['mg', 0.001],
  ['g', 1],
  ['gr', 1],
  ['gram', 1],
  ['grams', 1],
  ['kg', 1000],
  ['oz', G_PER_OZ],
  ['lb', G_PER_LB],
  ['lbs', G_PER_LB],
]);
const IS_C = /^(?:°c|ºc|c|degc|celsius)$/i;
const IS_F = /^(?:°f|ºf|f|degf|fahrenheit)$/i;
const OVERLOAD = /(?:^|[\s,;:])(?:ol|over|overload|err|error|oflow|[-_]{3,}|={3,})(?:$|[\s,;:.!])/i;
const UNSTABLE = /(?:^|[\s,;:])(?:us|unst|unstable|motion|moving|settling|dyn)(?:$|[\s,;:])|[~?]/i;
const STABLE = /(?:^|[\s,;:])(?:st|stab|stable|ok|still|hold)(?:$|[\s,;:])|[*=!]/i;
/** A sign, spaces, figures with at most one point or comma, and a unit, which may stand behind a comma of its own. */
const FIGURE = /([-+−–]?)\s*(\d[\d ]*(?:[.,]\d+)?|[.,]\d+)\s*[,;]?\s*(°\s?[CF]|º\s?[CF]|[a-zA-Z]+)/g;

/**
 * A line as a scale or a thermometer sends it: any number with a unit of mass or temperature, a sign, spaces, and marks
 * that say whether it stands still. `1 lb 3.5 oz` is one weight. Answers null where there is none. Never throws.
 *
 * @example readLine('ST  +  12,40 g', 0) // { kind: 'mass', massG: 12.4, isStable: true, atMs: 0 }
 */
export function readLine(line: string, atMs: number): Reading | null {
  const text = line.slice(0, 200).trim();
  const isStable = UNSTABLE.test(text) ? false : STABLE.test(text) ? true : null;
  let massG: number | null = null;
  for (const [, sign, figures = '', unit = ''] of text.matchAll(FIGURE)) {
    const value = Number(figures.replaceAll(' ', '').replace(',', '.')) * (sign && sign !== '+' ? -1 : 1);
    const name = unit.replace(/\s/g, '').toLowerCase();
    if (!Number.isFinite(value)) continue;
    if (IS_C.test(name)) return { kind: 'temperature', tempC: value, isStable, atMs };
    if (IS_F.test(name)) return { kind: 'temperature', tempC: (value - 32) / 1.8, isStable, atMs };
    const perOne = TO_G.get(name);
    if (perOne === undefined) continue;
    // Ounces that follow pounds are of the same weight, and of the same sign.
    massG = massG === null ? value * perOne : massG + Math.sign(massG || 1) * value * perOne;
  }
  if (massG !== null) return { kind: 'mass', massG, isStable, atMs };
  return OVERLOAD.test(text) ? { kind: 'overload', atMs } : null;
}
