import type { Maker } from '../../../core/houseRules/selling';
import type { LabelPart, LabelTexts, TextKind } from '../../../core/label/label';
import { isOnNotice, isUs, type LabelRules, type ListPlace } from '../../../core/label/labelRules';
import { type NetQuantity, netQuantity } from '../../../core/label/netQuantity';
import { goodUntil } from '../../../core/product/goodUntil';
import { showNumber } from '../../../core/units/showQuantity';
import { listWords } from '../ingredientWords';

/** What a product has its label say. */
export interface Said {
  name: string;
  rules: LabelRules;
  words: readonly {
    language: string;
    identity: string;
    directions: string;
    cautions: string;
    origin: string;
  }[];
  good: { by: 'date' | 'opened'; months: number };
  label: { listOn: ListPlace };
}

/** The texts of a label, those that are empty left out. */
export function labelTexts(
  { name, rules, words, good, label }: Said,
  parts: readonly LabelPart[],
  maker: Maker,
  locale: string,
): LabelTexts {
  const isDraft = parts.some(({ run }) => run === null);
  const side = (of: 'identity' | 'origin') => unique(words.map((each) => each[of])).join(' / ');
  const lines = (of: 'directions' | 'cautions') => unique(words.map((each) => each[of])).join('\n');
  const told = (texts: [kind: TextKind, text: string][]) =>
    texts.flatMap(([kind, text]) => (text === '' ? [] : [{ kind, text }]));
  const cautions = lines('cautions');
  return {
    front: told([
      ['draft', isDraft ? 'Draft, not for sale' : ''],
      ['name', name],
      ['identity', side('identity')],
    ]),
    net: netWords(parts, rules, locale),
    jar: hasJar(rules, good) ? `${good.months} M` : null,
    back: told([
      ['ingredients', isOnNotice(rules, label.listOn) ? '' : ingredientsWords(parts, rules)],
      ['directions', lines('directions')],
      ['cautions', cautions],
      ['origin', side('origin')],
      ['good', hasJar(rules, good) ? '' : goodWords(parts, good)],
      ['batch', batchWords(parts)],
      ['maker', unique([maker.name, maker.address, maker.contact]).join(', ')],
    ]),
  };
}

function unique(texts: readonly string[]): string[] {
  return [...new Set(texts.filter((text) => text !== ''))];
}

/** A line for each plan. */
export function ingredientsWords(parts: readonly LabelPart[], rules: LabelRules): string {
  const list = ({ ingredients }: LabelPart) =>
    ingredients === null ? '?' : listWords(ingredients.list, isUs(rules) ? 'us' : 'eu');
  const [only] = parts;
  if (parts.length === 1 && only) return `Ingredients: ${list(only)}`;
  return parts.map((part) => `${part.planName}, ingredients: ${list(part)}`).join('\n');
}

/** “100 g”, “3 × 100 g”, “Net Wt 3.52 oz (100 g)”; null where it is not known. */
export function netWords(
  parts: readonly Pick<LabelPart, 'netG' | 'pieces'>[],
  rules: LabelRules,
  locale: string,
): string | null {
  const each = parts.map(({ netG, pieces }) => ({ netG, pieces }));
  if (each.some(({ netG }) => netG === null)) return null;
  const wholeG = each.reduce((sum, { netG, pieces }) => sum + (netG ?? 0) * pieces, 0);
  if (isUs(rules)) return usWords(netQuantity(wholeG), locale);
  const [first] = each;
  const pieces = each.reduce((sum, part) => sum + part.pieces, 0);
  const alike = first && each.every(({ netG }) => netG === first.netG);
  return first && alike && pieces > 1 ? `${pieces} × ${first.netG}${NO_BREAK}g` : `${wholeG}${NO_BREAK}g`;
}

const OZ_PER_LB = 16;
/** A figure stays with its unit. */
const NO_BREAK = '\u00a0';

/** From a pound on its pounds stand beside the ounces (21 CFR 701.13(k); from memory). */
function usWords({ g, oz }: NetQuantity, locale: string): string {
  const ounces = `${showNumber(oz, 2, locale)}${NO_BREAK}oz`;
  if (oz < OZ_PER_LB) return `Net Wt ${ounces} (${g}${NO_BREAK}g)`;
  const pounds = Math.floor(oz / OZ_PER_LB);
  const rest = oz - pounds * OZ_PER_LB;
  const inPounds = rest < 0.005 ? `${pounds} lb` : `${pounds} lb ${showNumber(rest, 2, locale)} oz`;
  return `Net Wt ${ounces} (${inPounds}) ${g}${NO_BREAK}g`;
}

/** The EU has a symbol for it. */
function hasJar(rules: LabelRules, good: Said['good']): boolean {
  return good.by === 'opened' && !isUs(rules);
}

/** “Best before the end of 05/2028”; after opening “12 M after opening”. */
function goodWords(parts: readonly LabelPart[], good: Said['good']): string {
  if (good.by === 'opened') return `${good.months} M after opening`;
  const made = parts.map(({ run }) => run?.madeAt);
  const until = made.includes(undefined)
    ? null
    : goodUntil(
        good,
        made.flatMap((at) => at ?? []),
      );
  return until === null ? '' : `Best before the end of ${String(until.month).padStart(2, '0')}/${until.year}`;
}

function batchWords(parts: readonly LabelPart[]): string {
  const codes = unique(parts.map(({ run }) => run?.code ?? ''));
  return codes.length === 0 ? '' : `Batch ${codes.join(', ')}`;
}
