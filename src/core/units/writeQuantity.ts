import { G_PER_OZ } from './factors';
import { amountOf, type Quantity, type SingleQuantity, sizeOf } from './quantity';
import { massDecimals, type UnitSystem } from './showQuantity';
import { TO_TASTE } from './units';

/** Last digits that are only rounding do not count as over or under. */
const ROUND = {
  nearest: Math.round,
  down: (steps: number) => Math.floor(steps + 1e-9),
  up: (steps: number) => Math.ceil(steps - 1e-9),
};

/**
 * A figure as a plain decimal that {@link parseNumber} reads back: no exponent, no grouping, a point.
 *
 * @param value finite and at least zero
 * @param decimals digits behind the point at the most
 * @param rounding 'down' for a figure that must not pass a limit, 'up' for one that must reach it
 */
export function writeFigure(
  value: number,
  decimals: number,
  rounding: 'nearest' | 'down' | 'up' = 'nearest',
): string {
  const scale = 10 ** decimals;
  const steps = ROUND[rounding](value * scale);
  const written = (steps / scale).toFixed(decimals);
  return decimals === 0 ? written : written.replace(/\.?0+$/, '');
}

/** A weight for a field with its unit beside it, as fine as the sheet shows it. */
export function writeMass(massG: number, system: UnitSystem): string {
  const value = system === 'us' ? massG / G_PER_OZ : massG;
  return writeFigure(value, massDecimals(value, system));
}

const DECIMALS = 6;
const G_PER_KG = 1000;

/** A quantity as text that is read back as itself, for a dose the product types: “2.5 %”, “12 g”, “4.35 mL/kg”. */
export function writeQuantity(quantity: Quantity): string {
  switch (quantity.kind) {
    case 'ofBase':
      return `${hedge(quantity)}${writeFigure(quantity.fractionOfBase * 100, DECIMALS)} %`;
    case 'mass':
      return `${hedge(quantity)}${writeFigure(quantity.massG, DECIMALS)} g`;
    case 'volume':
      return `${writeFigure(quantity.volumeMl, DECIMALS)} mL`;
    case 'drops':
      return `${writeFigure(quantity.drops, DECIMALS)} drops`;
    case 'blocks':
      return `${writeFigure(quantity.blocks, DECIMALS)} block`;
    case 'scoops':
      return `${writeFigure(quantity.scoops, DECIMALS)} scoops`;
    case 'capsules':
      return `${writeFigure(quantity.capsules, DECIMALS)} capsules`;
    case 'perBase':
      return `${writeQuantity(amountOf(quantity.amount.kind, sizeOf(quantity.amount) * G_PER_KG))}/kg`;
    case 'range':
      return writeRange(quantity.least, quantity.most);
    case 'toTaste':
      return TO_TASTE.symbol;
    case 'volumePerBase':
      return `${writeFigure(quantity.mlPerBaseG * G_PER_KG, DECIMALS)} mL/kg`;
    case 'dropsPerBase':
      return `${writeFigure(quantity.dropsPerBaseG * G_PER_KG, DECIMALS)} drops/kg`;
    case 'blocksPerBase':
      return `${writeFigure(quantity.blocksPerBaseG * G_PER_KG, DECIMALS)} block/kg`;
    case 'perPiece':
      return `${writeQuantity(quantity.amount)}/piece`;
    case 'times':
      return `${writeFigure(quantity.factor, DECIMALS)}x ${quantity.of}`;
  }
}

function hedge({ approximate }: { approximate?: true | undefined }): string {
  return approximate ? 'about ' : '';
}

/** The unit is written once, behind the most. */
function writeRange(least: SingleQuantity, most: SingleQuantity): string {
  const figure = /^[\d.]+/.exec(writeQuantity(least))?.[0] ?? '';
  return `${figure}–${writeQuantity(most)}`;
}
