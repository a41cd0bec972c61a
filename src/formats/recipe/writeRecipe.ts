import type { Material } from '../../core/materials/material';
import {
  type Dose,
  type Plan,
  type PlanFile,
  type Pour,
  pourLetter,
  readsOtherwise,
} from '../../core/plan/plan';
import { writePourSize } from '../../core/plan/pourSize';
import { parseMass } from '../../core/units/parseMass';
import { writeFigure } from '../../core/units/writeQuantity';
import type { More } from './more';
import { OPTIONAL_WORDS, writePlace } from './places';
import { readRecipe, SETTINGS_HEAD } from './readRecipe';

/** Digits of a percentage: as many as a plan keeps. */
const DECIMALS = 10;

/**
 * A plan as the lines of a recipe, with what they can't say in a block of settings at their end. Read back, a plan that was
 * made from text is itself.
 *
 * @param shelf among which its names are read again
 */
export function writeRecipe(
  plan: Plan,
  { mold, secondMold }: Pick<PlanFile, 'mold' | 'secondMold'>,
  shelf: readonly Material[],
): string {
  const { batch, pours } = plan;
  const more: More = {};
  const isByBase = batch?.by === 'base' && pours.length === 1 && parseMass(batch.text, 'metric').success;
  if (batch && !isByBase) more.batch = batch;
  const lines = pours.flatMap((pour, place) => {
    const base = nameOf(shelf, pour.baseId);
    const isPlain = pours.length === 1 && pour.size.by === 'parts' && pour.size.parts === 1;
    const doses = pour.doses.map((each, index) => lineOf(each, index, place, shelf, more));
    keepMore(more, place, pour);
    return [
      ...(isPlain ? [] : ['', `${pourLetter(place)}: ${writePourSize(pour.size)}`]),
      isByBase && batch ? `${batch.text} ${base}` : base,
      ...doses.filter((line) => line !== null),
    ];
  });
  if (plan.note !== '') more.note = plan.note;
  if (plan.making) more.making = plan.making;
  if (plan.seen) more.seen = plan.seen;
  if (plan.leastMeltG !== undefined) more.leastMeltG = plan.leastMeltG;
  const settings = [
    `name: ${plan.name}`,
    `for: ${plan.use}`,
    `mold: ${mold.name}`,
    ...(secondMold ? [`second mold: ${secondMold.name}`] : []),
    ...(isByBase && batch?.gives === 'pieces' ? [] : [`pieces: ${plan.pieces}`]),
    `fill: ${writeFigure(plan.fillFraction * 100, DECIMALS)} %`,
    `stays in jug: ${writeFigure(plan.jugLossFraction * 100, DECIMALS)} %`,
    ...(Object.keys(more).length > 0 ? [`more: ${JSON.stringify(more)}`] : []),
  ];
  return [...titleOf(plan.name, shelf), ...lines, '', SETTINGS_HEAD, ...settings, ''].join('\n');
}

/** The name over the lines, where it reads as one. */
function titleOf(name: string, shelf: readonly Material[]): string[] {
  const [line] = readRecipe(name, shelf).lines;
  return line?.kind === 'title' && !name.includes(' / ') ? [name, ''] : [];
}

/** A dose as a line that reads back to itself; null where none does, and the settings say it. */
function lineOf(
  each: Dose,
  index: number,
  pourPlace: number,
  shelf: readonly Material[],
  more: More,
): string | null {
  const { materialId, text, laid, wetIn, counts, means, optional } = each;
  const name = nameOf(shelf, materialId);
  const tail = `${laid ? `, ${writePlace(laid)}` : ''}${optional ? OPTIONAL_WORDS : ''}`;
  const line = [`${text} ${name}${tail}`, `${text} “${name}”${tail}`].find((written) => {
    const read = readRecipe(`A:\n${written}`, shelf).lines[1];
    if (read?.kind !== 'dose' || read.parts.length !== 1) return false;
    if (read.found.kind !== 'called' || read.found.material.id !== materialId) return false;
    const [part] = read.parts;
    return (
      read.name === name &&
      part?.text === text &&
      JSON.stringify(part.laid) === JSON.stringify(laid ?? null) &&
      part.isOptional === (optional ?? false)
    );
  });
  if (line === undefined) {
    const { id: _, ...whole } = each;
    const ofPour = pourMore(more, pourPlace);
    ofPour.unsaid = { ...ofPour.unsaid, [index]: whole };
    return null;
  }
  const rest = {
    ...(wetIn ? { wetIn } : {}),
    ...(counts ? { counts } : {}),
    ...(readsOtherwise(each) ? { means } : {}),
  };
  if (Object.keys(rest).length > 0) {
    const ofPour = pourMore(more, pourPlace);
    ofPour.doses = { ...ofPour.doses, [index]: rest };
  }
  return line;
}

function keepMore(more: More, place: number, { way, when, embeds, note }: Pour): void {
  if (way || when || embeds || note)
    Object.assign(pourMore(more, place), {
      ...(way ? { way } : {}),
      ...(when ? { when } : {}),
      ...(embeds ? { embeds } : {}),
      ...(note ? { note } : {}),
    });
}

function pourMore(more: More, place: number): NonNullable<NonNullable<More['pours']>[string]> {
  const pours = more.pours ?? {};
  const own = pours[place] ?? {};
  more.pours = { ...pours, [place]: own };
  return own;
}

function nameOf(shelf: readonly Material[], id: string): string {
  return shelf.find((each) => each.id === id)?.name ?? id;
}
