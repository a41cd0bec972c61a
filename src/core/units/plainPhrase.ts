const HEDGE = /^(?:(?:about|approx(?:imately)?\.?|roughly|around|circa|ca\.?|some)(?=[\s\d])|~|≈)\s*/i;
const HEDGE_BEHIND = /\s*(?:\bor so|\(?\bapprox(?:imately|\.)?\)?|\bmore or less|-?ish)$/i;

/**
 * What was typed without what changes nothing: runs of spaces, full-width signs, brackets around a remark, and the words
 * that say it is only about so much.
 */
export function plainPhrase(text: string): { typed: string; isHedged: boolean } {
  const spaced = text
    .normalize('NFC')
    .replaceAll('％', '%')
    .replace(/\((level|levelled|heaped|total|in total|by weight|of base|approx\.?)\)/gi, '$1')
    .replace(/[\s\u00a0\u202f]+/g, ' ')
    .trim();
  const typed = spaced.replace(HEDGE, '').replace(HEDGE_BEHIND, '').trim();
  return { typed, isHedged: typed.length < spaced.length };
}
