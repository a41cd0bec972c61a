import { blockMass, dropMass, isPowder, spoonDensity } from '../materials/defaults';
import type { DosedMaterial } from '../materials/material';
import { piecesOf } from '../molds/filled';
import { hasMold } from '../molds/noMold';
import { G_PER_LB, G_PER_OZ, ML_PER_US_TBSP, ML_PER_US_TSP } from '../units/factors';
import { writeFigure } from '../units/writeQuantity';
import type { Sheet, SheetPour } from './sheet';

/** Another way to say a dose, as text that can be typed in its place. */
export interface Way {
  text: string;
  /** A weight is exact; a spoon, a volume, a block or a drop is not. */
  exact: boolean;
}

const SIGNIFICANT = 3;
const G_PER_KG = 1000;
const G_PER_100_G = 100;

/**
 * Every way of the trade to say a dose of a sheet, the exact ones first. Figures have three significant digits, so a
 * dose that is typed anew from one of them differs by half a percent at the most.
 *
 * @param material what is dosed; a blend as the fragrance it comes to
 */
export function waysToSay(
  { massG, ofBase }: { massG: number; ofBase: number },
  material: DosedMaterial,
  pour: Pick<SheetPour, 'baseG'>,
  sheet: Pick<Sheet, 'jugLossFraction' | 'fills' | 'mold' | 'secondMold'>,
): Way[] {
  if (!(massG > 0)) return [];
  const pieces = piecesOf(sheet, sheet.fills);
  const perPieceG = (massG * (1 - sheet.jugLossFraction)) / pieces;
  const exact: Way[] = [
    [massG, 'g'],
    [massG / G_PER_OZ, 'oz'],
    [ofBase * 100, '%'],
    [ofBase * G_PER_100_G, 'g/100 g'],
    [hasMold(sheet) ? perPieceG : 0, 'g/piece'],
  ]
    // What is laid and not stirred in is no share of the base.
    .filter(([figure]) => Number(figure) > 0)
    .map(([figure, unit]) => ({ text: `${significant(Number(figure))} ${unit}`, exact: true }));
  const baseG = ofBase > 0 ? pour.baseG : Number.POSITIVE_INFINITY;
  return [...exact, ...approximateWays(material, massG, baseG, hasMold(sheet) ? perPieceG / massG : 0)];
}

function approximateWays(material: DosedMaterial, massG: number, baseG: number, toPiece: number): Way[] {
  const volumeMl = massG / spoonDensity(material).value;
  const spoons: [number, string] =
    volumeMl < ML_PER_US_TBSP ? [volumeMl / ML_PER_US_TSP, 'tsp'] : [volumeMl / ML_PER_US_TBSP, 'tbsp'];
  const ways: [number, string][] = [
    spoons,
    [((volumeMl / ML_PER_US_TSP) * G_PER_LB) / baseG, 'tsp/lb'],
    [volumeMl, 'mL'],
    [(volumeMl * G_PER_KG) / baseG, 'mL/kg'],
  ];
  if (!isPowder(material)) {
    const drops = massG / dropMass(material).value;
    ways.push([drops, 'drops'], [(drops * G_PER_LB) / baseG, 'drops/lb'], [drops * toPiece, 'drops/piece']);
  }
  if (material.kind === 'colorant') ways.push([massG / blockMass(material).value, 'block']);
  return ways
    .filter(([figure]) => figure > 0)
    .map(([figure, unit]) => ({ text: `${significant(figure)} ${unit}`, exact: false }));
}

/** A figure with three significant digits, as plain decimals. */
function significant(value: number): string {
  const digitsBefore = Math.floor(Math.log10(value)) + 1;
  return writeFigure(value, Math.max(0, SIGNIFICANT - digitsBefore));
}
