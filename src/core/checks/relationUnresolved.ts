import { RELATION_FAULTS, type RelationFault } from '../plan/relations';
import type { Check } from './finding';

const REASONS: Record<RelationFault, string> = {
  'relation-to-nothing': 'No other dose of this pour is called that. Add it, or write an amount.',
  'relation-to-several': 'Several doses of this pour have that in their name. Write more of the name.',
  'relation-without-end': 'It goes round in a circle: one of the doses needs an amount of its own.',
};

/** A dose in relation to something that can't be told. */
export const relationUnresolved: Check = {
  code: 'relation-unresolved',

  run: (sheet) =>
    sheet.pours.flatMap((pour, pourIndex) =>
      pour.unreadable.flatMap(({ doseIndex, material, text, why }) =>
        why === 'text'
          ? []
          : [
              {
                code: relationUnresolved.code,
                severity: 'stop' as const,
                pourIndex,
                doseIndexes: [doseIndex],
                about: material.name,
                text,
                figures: { fault: RELATION_FAULTS.indexOf(why) },
                assumed: false,
                mend: null,
              },
            ],
      ),
    ),

  say({ about, text = '', figures: { fault = 0 } }) {
    const code = RELATION_FAULTS[fault] ?? 'relation-to-nothing';
    return {
      title: `${about}: “${text.slice(0, 40)}” can’t be followed`,
      reason: `${REASONS[code]} Until then it is in no weight.`,
      mendLabel: null,
    };
  },
};
