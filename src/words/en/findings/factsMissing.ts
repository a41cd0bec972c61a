import type { FoundOf } from '../../../core/checks/finding';
import { listed } from '../plural';
import type { Describe } from './described';

const FACTS: Record<FoundOf<'facts-missing'>['facts'][number], string> = {
  vanillin: 'whether it browns',
  allergens: 'which allergens it brings',
  origins: 'what it comes from',
};

export const factsMissing: Describe<'facts-missing'> = ({ about, facts }) => ({
  title: `Cannot tell everything about ${about}`,
  reason: `The shelf does not know ${listed(facts.map((fact) => FACTS[fact]))}.`,
  fixLabel: null,
});
