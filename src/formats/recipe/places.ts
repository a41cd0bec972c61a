import type { Laid, LaidWhere } from '../../core/plan/laid';

/** Where a part of a line goes, as it is written; the first of each is how it is written out. */
const PLACES: readonly [LaidWhere | 'stirred', string, RegExp][] = [
  ['stirred', 'stirred in', /(?:stirred|mixed|stir|mix)(?: in| into it)?|in(?: the| to the|to the)? jug/],
  [
    'under',
    'on the floor',
    /(?:on|over|onto|in) the (?:floor|bottom)(?: of (?:the|each) (?:molds?|moulds?|cavit(?:y|ies)))?|under(?:neath)?(?: it)?/,
  ],
  ['between-goes', 'between the goes', /between (?:the )?(?:goes|pours|streaks)/],
  [
    'on-skin',
    'on the skin',
    /(?:on|over|onto) (?:the |its )?skin|(?:once|when|after) it (?:has )?(?:skins|skinned)/,
  ],
  [
    'on-liquid',
    'on top',
    /(?:strewn |sprinkled )?(?:on|over|onto) (?:the )?top(?: while (?:it is )?(?:liquid|wet))?|while (?:it is )?(?:liquid|wet)/,
  ],
];
const PRESSED = /,?\s*(?:and )?press(?:ed)?(?: it)? ?(?:down|in)?$/i;

/** Reads where something goes: null is stirred in; undefined is no place. */
export function readPlace(text: string): Laid | null | undefined {
  const typed = text.trim().toLowerCase();
  const pressed = PRESSED.test(typed);
  const place = typed.replace(PRESSED, '').trim();
  for (const [where, , words] of PLACES) {
    if (!new RegExp(`^(?:${words.source})$`).test(place)) continue;
    return where === 'stirred' ? null : { where, ...(pressed ? { pressed: true } : {}) };
  }
  return undefined;
}

const OPTIONAL = /,?\s*\(?\s*(?:optional(?:ly)?|if you (?:like|wish|want))\s*\)?\s*$/i;

/** A line without the words at its end that let it be left out. */
export function readOptional(line: string): { line: string; isOptional: boolean } {
  const isOptional = OPTIONAL.test(line);
  return { line: isOptional ? line.replace(OPTIONAL, '') : line, isOptional };
}

/** What {@link readOptional} reads. */
export const OPTIONAL_WORDS = ', optional';

/** A place as {@link readPlace} reads it. */
export function writePlace(laid: Laid): string {
  const words = PLACES.find(([where]) => where === laid.where)?.[1] ?? '';
  return laid.pressed ? `${words}, pressed down` : words;
}
