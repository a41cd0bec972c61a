import type { LabelFault } from '../../../core/label/labelFaults';
import { showNumber } from '../../../core/units/showQuantity';
import { LACK_WORDS } from '../ingredientWords';
import { listed } from '../plural';
import { showDay } from '../showTime';

/** What is missing or wrong on a label, and what mends it. */
export function labelFaultWords(fault: LabelFault, locale: string): string {
  const mm = (length: number) => `${showNumber(length, 1, locale)} mm`;
  switch (fault.code) {
    case 'draft':
      return `No finished run of ${listed(fault.plans)}: this is a draft by the plan, and says so.`;
    case 'no-net':
      return `No piece of ${listed(fault.plans)} was weighed: weigh some when you look at them, so that a net weight can be said.`;
    case 'ingredients-unknown':
      return `Something that was melted again for ${listed(fault.plans)} is not known, so its ingredients can’t be listed.`;
    case 'unlisted':
      return LACK_WORDS.unlisted(fault.names);
    case 'contradicted':
      return LACK_WORDS.contradicted(fault.names);
    case 'allergens-unknown':
      return LACK_WORDS.allergensUnknown(fault.names);
    case 'list-of-before':
      return `From ${showDay(fault.from, locale)} on the longer list of allergens holds for all that is sold: choose it.`;
    case 'may-swap':
      return `Packs give only an order: ${listed(fault.names)} may have to change places with what follows.`;
    case 'no-identity':
      return `Say what it is, such as “cleansing bar” (${listed(fault.languages)}).`;
    case 'called-soap':
      return `“${fault.text}” calls it soap, and ${listed(fault.plans)} is of a base that is none. Call it a cleansing bar.`;
    case 'no-true-soap':
      return `${listed(fault.plans)} is of a base that is no soap: the rules of soap do not hold for it. Choose those of a cosmetic.`;
    case 'no-maker':
      return 'The maker’s name and address are missing: they stand in the house rules.';
    case 'no-contact':
      return 'In the US a label names a telephone number or an address on the network for reports: it stands in the house rules.';
    case 'no-room':
      return `The ${fault.side} needs ${mm(fault.missingMm)} more of height at the least size of its letters. Make the label larger, or say less.`;
    case 'too-wide':
      return `On the ${fault.side} ${listed(fault.words.map((word) => `“${word}”`))} is wider than the label. Make it wider.`;
    case 'net-too-high':
      return `The net weight stands up to ${mm(fault.standsMm)} above the foot, and has to stand in the lowest ${mm(fault.allowedMm)}. Make the front higher.`;
  }
}

/** How high letters have to be, and by which rule. */
export function heightWords(
  { netMm, textMm }: { netMm: number | null; textMm: number },
  locale: string,
): string {
  const text = `${showNumber(textMm, 2, locale)} mm`;
  return netMm === null
    ? `Letters at least ${text} high.`
    : `Net weight at least ${showNumber(netMm, 2, locale)} mm high, all else ${text}.`;
}
