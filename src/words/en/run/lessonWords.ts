import type { Lesson, LessonFault } from '../../../core/run/lessons';
import { type Showing, showMass, showPercent } from '../../../core/units/showQuantity';
import { taughtWords, teachFaultWords } from '../heat/teachWords';
import { counted } from '../plural';

const ONES: Record<Extract<Lesson, { of: 'count' }>['reading']['of'], [one: string, more: string]> = {
  drops: ['drop', 'drops'],
  spoon: ['mL by the spoon', 'mL by the spoon'],
  blocks: ['block', 'blocks'],
  scoops: ['scoop', 'scoops'],
  capsules: ['capsule', 'capsules'],
};

/** What a run taught, in a sentence; why it taught nothing where a cooling or a skin can't be told. */
export function lessonWords(lesson: Lesson, showing: Showing): string {
  const { locale } = showing;
  switch (lesson.of) {
    case 'jug':
    case 'mold':
      return lesson.taught.success
        ? `${lesson.name}, by ${lesson.letter}: ${taughtWords(lesson.taught.data, showing)}.`
        : `${lesson.name}, by ${lesson.letter}: ${faultWords(lesson.taught.error, showing)}`;
    case 'count': {
      const { reading, name, wasG } = lesson;
      const each = reading.massG / reading.count;
      const [one, more] = ONES[reading.of];
      return `${name}: ${counted(Math.round(reading.count * 100) / 100, one, more)} weighed ${showMass(reading.massG, showing)}, ${milligrams(each)} each; the plan counted with ${milligrams(wasG)}.`;
    }
    case 'dose':
      return `${lesson.letter}: ${lesson.name} went in at ${showPercent(lesson.ofBase, locale, 2)} of its base; the plan said ${showPercent(lesson.wasOfBase, locale, 2)}.`;
    case 'loss': {
      const spread = lesson.spread === null ? '' : `, ± ${showPercent(lesson.spread, locale)} between them`;
      return `${showPercent(lesson.fraction, locale)} of what was in ${counted(lesson.jugs, 'jug', 'jugs')} stayed there${spread}; the plan counted with ${showPercent(lesson.wasFraction, locale)}.`;
    }
  }
}

function milligrams(massG: number): string {
  return massG < 1 ? `${Math.round(massG * 1000)} mg` : `${Math.round(massG * 100) / 100} g`;
}

function faultWords(fault: LessonFault, showing: Showing): string {
  return fault.code === 'room-not-read'
    ? 'nothing is learnt, since nobody read the room. Read it at the bench next time.'
    : teachFaultWords(fault, showing);
}

/** What a lesson is kept for. */
export function keepWords(lesson: Lesson): string {
  switch (lesson.of) {
    case 'jug':
    case 'mold':
      return `Keep it for ${lesson.name}`;
    case 'count':
      return `Count with it for ${lesson.name}`;
    case 'dose':
      return 'Take it into the plan';
    case 'loss':
      return 'Count with it in new plans';
  }
}
