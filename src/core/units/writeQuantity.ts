import type { Quantity } from './quantity';

/**
 * A figure as a plain decimal that {@link parseNumber} reads back: no exponent, no grouping, a point.
 *
 * @param value finite and at least zero
 * @param decimals digits behind the point at the most
 * @param rounding 'down' for a figure that must not pass a limit
 */
export function writeFigure(
  value: number,
  decimals: number,
  rounding: 'nearest' | 'down' = 'nearest',
): string {
  const scale = 10 ** decimals;
  const steps = rounding === 'down' ? Math.floor(value * scale + 1e-9) : Math.round(value * scale);
  const written = (steps / scale).toFixed(decimals);
  return decimals === 0 ? written : written.replace(/\.?0+$/, '');
}

/** A quantity as text in its inner unit, for a dose the product types itself: “2.5 %”, “12 g”. */
export function writeQuantity(quantity: Quantity): string {
  switch (quantity.kind) {
    case 'ofBase':
      return `${writeFigure(quantity.fractionOfBase * 100, 6)} %`;
    case 'mass':
      return `${writeFigure(quantity.massG, 6)} g`;
    case 'volume':
      return `${writeFigure(quantity.volumeMl, 6)} mL`;
    case 'drops':
      return `${writeFigure(quantity.drops, 6)} drops`;
  }
}
