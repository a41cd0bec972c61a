import type { FoundOf } from '../../../core/checks/finding';
import type { Describe } from './described';

const REASONS: Record<FoundOf<'relation-unresolved'>['fault'], string> = {
  'relation-to-nothing': 'No other dose of this pour is called that. Add it, or write an amount.',
  'relation-to-several': 'Several doses of this pour have that in their name. Write more of the name.',
  'relation-without-end': 'It goes round in a circle: one of the doses needs an amount of its own.',
};

export const relationUnresolved: Describe<'relation-unresolved'> = ({ about, text, fault }) => ({
  title: `${about}: “${text.slice(0, 40)}” can’t be followed`,
  reason: `${REASONS[fault]} Until then it is in no weight.`,
  fixLabel: null,
});
