import { foldedName, namesOf } from '../../core/materials/byName';
import { isDoseable, type Material } from '../../core/materials/material';
import { BATCH_LIMITS_G } from '../../core/plan/batch';
import { parsePourSize } from '../../core/plan/pourSize';
import { parseFigure } from '../../core/units/parseFigure';
import { parseMass } from '../../core/units/parseMass';
import { readLine } from './readLine';
import type { Found, Recipe, RecipeLine, RecipeSettings } from './recipe';

/** More than any plan has. */
const MOST_LINES = 400;
const LONGEST_LINE = 300;

export const SETTINGS_HEAD = '-- settings';
const POUR = /^(?:pour |layer )?[A-Z]\s*[:)]\s*(.*)$/;
const SETTING = /^(name|for|second mold|mold|pieces|fill|stays in jug|more)\s*:\s*(.*)$/i;

/**
 * Reads a recipe as it stands in a notebook. Never throws: a line that can't be read says why.
 *
 * @param chosen which material is meant by a name, by the folded name
 */
export function readRecipe(
  text: string,
  shelf: readonly Material[],
  chosen: ReadonlyMap<string, Material> = new Map(),
): Recipe {
  const settings: RecipeSettings = {};
  const find = finderFor(shelf, chosen);
  let pours = 0;
  let isSettings = false;
  let isBegun = false;
  const typed = linesOf(text).slice(0, MOST_LINES);
  const lines = typed.map((whole, at): RecipeLine => {
    const line = whole
      .slice(0, LONGEST_LINE * (isSettings ? 1000 : 1))
      .replace(/^\s*[-*•]\s+(?=\S)/, '')
      .trim();
    const common = { at, text: whole.trim() };
    if (line === '') return { ...common, kind: 'blank' };
    if (foldedName(line) === foldedName(SETTINGS_HEAD)) {
      isSettings = true;
      return { ...common, kind: 'blank' };
    }
    if (isSettings)
      return readSetting(line, settings)
        ? { ...common, kind: 'blank' }
        : { ...common, kind: 'unread', why: 'setting' };
    const pour = POUR.exec(line);
    if (pour) {
      isBegun = true;
      const said = pour[1]?.trim() ?? '';
      const size = parsePourSize(said);
      if (said !== '' && !size.success) return { ...common, kind: 'unread', why: 'pour-size' };
      return { ...common, kind: 'pour', size: size.success ? size.data : null };
    }
    const read = understood(line, Math.max(0, pours - 1), find);
    if (read.kind === 'base') pours++;
    const isTitle = !isBegun && read.kind === 'unread' && read.why === 'no-amount';
    isBegun = true;
    return isTitle ? { ...common, kind: 'title', name: line.replace(/:$/, '') } : { ...common, ...read };
  });
  return { lines, settings };
}

/** Lines are broken, or parted by a stroke; not in the settings, where any text may stand. */
function linesOf(text: string): string[] {
  const [recipe = '', ...settings] = text.split(new RegExp(`^(?=${SETTINGS_HEAD})`, 'm'));
  return [...recipe.split(/\r?\n|\s\/\s/), ...settings.join('').split(/\r?\n/)];
}

type Understood = RecipeLine extends infer Each
  ? Each extends RecipeLine
    ? Omit<Each, 'at' | 'text'>
    : never
  : never;

type Find = (name: string) => Found;

function understood(line: string, pourIndex: number, find: Find): Understood {
  const read = readLine(line);
  if (typeof read === 'string') return { kind: 'unread', why: read };
  const { amount, name, parts, isOptional } = read;
  const found = find(name);
  const isBase =
    found.kind === 'called' ? found.material.kind === 'base' : found.kind === 'none' && /\bbase$/i.test(name);
  if (isBase && isOptional) return { kind: 'unread', why: 'base-optional' };
  if (isBase) {
    const mass = amount === null ? null : parseMass(amount, 'metric');
    const [leastG, mostG] = BATCH_LIMITS_G;
    if (mass && !(mass.success && mass.data >= leastG && mass.data <= mostG))
      return { kind: 'unread', why: 'base-not-weighed' };
    return {
      kind: 'base',
      amount: mass?.success && amount !== null ? { text: amount, massG: mass.data } : null,
      name,
      found,
    };
  }
  if (amount === null) return { kind: 'unread', why: 'no-amount' };
  return { kind: 'dose', parts, pourIndex, name, found };
}

/** A name as it is chosen, is on the shelf, or may mean among what is there. */
function finderFor(shelf: readonly Material[], chosen: ReadonlyMap<string, Material>): Find {
  const named = namesOf(shelf.filter((each) => !each.archived && (each.kind === 'base' || isDoseable(each))));
  return (name) => {
    const picked = chosen.get(foldedName(name));
    if (picked) return { kind: 'called', material: picked };
    const match = named(name);
    if (match.kind === 'called') return { kind: 'called', material: match.item };
    return match.kind === 'among' ? { kind: 'among', materials: match.items } : { kind: 'none' };
  };
}

function readSetting(line: string, settings: RecipeSettings): boolean {
  const [, key = '', value = ''] = SETTING.exec(line) ?? [];
  switch (key.toLowerCase()) {
    case 'name':
      settings.name = value;
      return value !== '';
    case 'for':
      settings.for = value;
      return value !== '';
    case 'mold':
      settings.mold = value;
      return value !== '';
    case 'second mold':
      settings.secondMold = value;
      return value !== '';
    case 'pieces': {
      const read = parseFigure(value, { unit: '', least: 1, most: 10_000_000, whole: true });
      if (read.success) settings.pieces = read.data;
      return read.success;
    }
    case 'fill': {
      const read = percentOf(value, 5, 100);
      if (read !== null) settings.fill = read;
      return read !== null;
    }
    case 'stays in jug': {
      const read = percentOf(value, 0, 50);
      if (read !== null) settings.staysInJug = read;
      return read !== null;
    }
    case 'more':
      try {
        settings.more = JSON.parse(value);
        return true;
      } catch {
        return false;
      }
    default:
      return false;
  }
}

function percentOf(value: string, least: number, most: number): number | null {
  const read = parseFigure(value.replace(/\s*%$/, ''), { unit: '', least, most });
  return read.success ? read.data / 100 : null;
}
