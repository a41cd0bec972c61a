import { type CountedIn, type CountedOut, countedIn, countFor } from '../../../core/units/counting';
import { type Showing, showMass, showNumber } from '../../../core/units/showQuantity';
import { plural } from '../plural';

const NAMES: Record<CountedIn['unit'], [one: string, more: string]> = {
  drops: ['drop', 'drops'],
  blocks: ['block', 'blocks'],
  scoops: ['scoop', 'scoops'],
  capsules: ['capsule', 'capsules'],
  pinch: ['pinch', 'pinches'],
  tsp: ['tsp', 'tsp'],
  tbsp: ['tbsp', 'tbsp'],
  cup: ['cup', 'cups'],
  mL: ['mL', 'mL'],
};
const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

/** A count as one says it: the figure, “1¾”, and its unit, “tsp”. */
export function countParts(
  counted: CountedOut,
  massG: number,
  { locale }: Pick<Showing, 'locale'>,
): { figure: string; unit: string } {
  const into = countedIn(counted, massG);
  const count = countFor(massG, into);
  const [one, more] = NAMES[into.unit];
  const unit = count <= 1 ? one : plural(count, one, more);
  return { figure: into.unit === 'mL' ? showNumber(count, 1, locale, 0) : fractions(count), unit };
}

/** “45 drops”, “1¾ tsp”, “¼ block”. */
export function showCount(counted: CountedOut, massG: number, showing: Pick<Showing, 'locale'>): string {
  const { figure, unit } = countParts(counted, massG, showing);
  return `${figure} ${unit}`;
}

/** What is counted with its weight beside it, “45 drops (2.13 g)”; a weight alone where nothing is counted. */
export function showAmountOut(counted: CountedOut | null, massG: number, showing: Showing): string {
  const mass = showMass(massG, showing);
  return counted ? `${showCount(counted, massG, showing)} (${mass})` : mass;
}

function fractions(count: number): string {
  const whole = Math.floor(count + 1e-9);
  const part = EIGHTHS[Math.round((count - whole) * 8)] ?? '';
  return whole === 0 && part !== '' ? part : `${whole}${part}`;
}
