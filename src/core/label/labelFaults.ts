import type { Maker } from '../houseRules/selling';
import { type AllergenList, LONGER_LIST_FROM } from '../materials/allergenNames';
import type { FitFault, LabelPart, SetLabel } from './label';
import { isUs, type LabelRules } from './labelRules';

/** What is missing or wrong on a label. A stop keeps it from being right by its rules; a caution has to be looked at. */
export type LabelFault = FitFault | SaidFault;

/** A label, set, with what is missing or wrong. */
export interface WholeLabel {
  parts: LabelPart[];
  set: SetLabel;
  /** Of what it says and of how it fits. */
  faults: LabelFault[];
  /** Nothing keeps it from being sold with. */
  isWhole: boolean;
}

type SaidFault =
  | { code: 'draft'; plans: string[] }
  | { code: 'no-net'; plans: string[] }
  | { code: 'ingredients-unknown'; plans: string[] }
  | { code: 'unlisted'; names: string[] }
  | { code: 'contradicted'; names: string[] }
  | { code: 'allergens-unknown'; names: string[] }
  | { code: 'list-of-before'; from: string }
  | { code: 'may-swap'; names: string[] }
  | { code: 'no-identity'; languages: string[] }
  | { code: 'called-soap'; text: string; plans: string[] }
  | { code: 'no-true-soap'; plans: string[] }
  | { code: 'no-maker' }
  | { code: 'no-contact' };

/** “Soap” in the languages of the makers that are known of; a syndet bar is none, and soapwort is a plant. */
const SOAP =
  /(?<!\p{L})(?:soaps?|\p{L}*seife(?!nkraut|nwurz)\p{L}*|savons?|jab[oó]n(?:es)?|saponi?e?|sab[aã]o|zeep|s[åa]pe|s[æe]be|tv[åa]l|myd[łl]o|szappan|saippua)(?!\p{L})/iu;

/** What a product has its label say. */
interface Said {
  name: string;
  words: readonly { language: string; identity: string }[];
  rules: LabelRules;
  allergenList: AllergenList;
}

/**
 * What is missing or wrong in what a label says.
 *
 * @param today year, month and day
 */
export function labelFaults(
  { name, words, rules, allergenList }: Said,
  parts: readonly LabelPart[],
  maker: Maker,
  today: string,
): SaidFault[] {
  const faults: SaidFault[] = [];
  const plansWhere = (is: (part: LabelPart) => boolean) => parts.filter(is).map(({ planName }) => planName);
  const namesOf = (of: 'unlisted' | 'contradicted' | 'allergensUnknown') => [
    ...new Set(parts.flatMap(({ ingredients }) => ingredients?.[of] ?? [])),
  ];
  const tell = (found: readonly string[], fault: (found: string[]) => SaidFault) => {
    if (found.length > 0) faults.push(fault([...found]));
  };
  tell(
    plansWhere(({ run }) => run === null),
    (plans) => ({ code: 'draft', plans }),
  );
  tell(
    plansWhere(({ netG }) => netG === null),
    (plans) => ({ code: 'no-net', plans }),
  );
  tell(
    plansWhere(({ ingredients }) => ingredients === null),
    (plans) => ({ code: 'ingredients-unknown', plans }),
  );
  tell(namesOf('unlisted'), (names) => ({ code: 'unlisted', names }));
  tell(namesOf('contradicted'), (names) => ({ code: 'contradicted', names }));
  if (!isUs(rules)) {
    tell(namesOf('allergensUnknown'), (names) => ({ code: 'allergens-unknown', names }));
    if (allergenList === 'before' && today >= LONGER_LIST_FROM)
      faults.push({ code: 'list-of-before', from: LONGER_LIST_FROM });
  }
  tell(
    parts.flatMap(({ ingredients }) =>
      (ingredients?.list ?? []).filter(({ maySwap }) => maySwap).map((each) => each.name),
    ),
    (names) => ({ code: 'may-swap', names: [...new Set(names)] }),
  );
  tell(
    words.filter(({ identity }) => identity === '').map(({ language }) => language),
    (languages) => ({ code: 'no-identity', languages }),
  );
  const notSoap = plansWhere(({ isSoap }) => !isSoap);
  const called = [name, ...words.map(({ identity }) => identity)].find((text) => SOAP.test(text));
  if (called !== undefined) tell(notSoap, (plans) => ({ code: 'called-soap', text: called, plans }));
  if (rules === 'us-soap') tell(notSoap, (plans) => ({ code: 'no-true-soap', plans }));
  if (maker.name === '' || maker.address === '') faults.push({ code: 'no-maker' });
  if (isUs(rules) && maker.contact === '') faults.push({ code: 'no-contact' });
  return faults;
}

/** Where nothing is printed that looks finished. */
export function isStop({ code }: LabelFault): boolean {
  return code !== 'may-swap' && code !== 'draft';
}
