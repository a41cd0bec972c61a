import { type BiasAndSpread, FEW } from '../../../core/knows/biasAndSpread';
import { isShareMeasure, type MeasureKind } from '../../../core/run/measures';
import {
  type Showing,
  showMass,
  showNumber,
  showPercent,
  showTemperature,
  showVolume,
} from '../../../core/units/showQuantity';
import { lengthWords } from '../lengthWords';
import { counted } from '../plural';

export const MEASURE_NAMES: Record<MeasureKind, string> = {
  'piece-mass': 'What a piece weighs',
  'good-pieces': 'Good pieces',
  fill: 'What fills the mold',
  'jug-loss': 'What stays in the jug',
  'drop-mass': 'What a drop weighs',
  skin: 'Until a layer carries',
  unmold: 'Until it is taken out',
  'pour-heat': 'How warm it is poured',
};

/** More or less than predicted, as it is said of each. */
const MORE: Record<MeasureKind, [more: string, less: string]> = {
  'piece-mass': ['heavier', 'lighter'],
  'good-pieces': ['more', 'fewer'],
  fill: ['more', 'less'],
  'jug-loss': ['more', 'less'],
  'drop-mass': ['heavier', 'lighter'],
  skin: ['later', 'sooner'],
  unmold: ['later', 'sooner'],
  'pour-heat': ['warmer', 'cooler'],
};

/** A figure of a kind in its unit. */
export function measureFigure(kind: MeasureKind, value: number, showing: Showing): string {
  switch (kind) {
    case 'piece-mass':
      return showMass(value, showing);
    case 'drop-mass':
      return `${showNumber(value * 1000, 0, showing.locale)} mg`;
    case 'fill':
      return showVolume(value, showing.locale);
    case 'good-pieces':
      return showNumber(value, 0, showing.locale);
    case 'jug-loss':
      return showPercent(value, showing.locale);
    case 'skin':
    case 'unmold':
      return lengthWords(value, showing.locale);
    case 'pour-heat':
      return showTemperature(value, showing);
  }
}

/** “2.1 % lighter than predicted, give or take 1.4 %, by 12 runs”; of few runs it says so. */
export function biasWords(
  kind: MeasureKind,
  { count, bias, spread }: BiasAndSpread,
  { locale, system }: Showing,
): string {
  const size = (value: number) => {
    if (isShareMeasure(kind)) return showPercent(Math.abs(value), locale, 1);
    if (kind === 'jug-loss') return `${showNumber(Math.abs(value) * 100, 1, locale)} points`;
    const isImperial = system === 'us';
    return `${showNumber(Math.abs(value) * (isImperial ? 1.8 : 1), 1, locale)} ${isImperial ? '°F' : 'K'}`;
  };
  const [more, less] = MORE[kind];
  const runs = `by ${counted(count, 'run', 'runs')}`;
  const few = count < FEW ? ` Fewer than ${FEW}: this may be chance.` : '';
  const around = spread === null ? '' : `, give or take ${size(spread)}`;
  if (Math.abs(bias) < 5e-4) return `As predicted${around}, ${runs}.${few}`;
  return `${size(bias)} ${bias > 0 ? more : less} than predicted${around}, ${runs}.${few}`;
}
