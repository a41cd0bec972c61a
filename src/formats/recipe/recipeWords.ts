import type { Laid } from '../../core/plan/laid';
import { writePourSize } from '../../core/plan/pourSize';
import { listed } from '../../words/en/plural';
import { laidWords } from '../../words/en/work/laidWords';
import type { RecipeFault } from './planOfRecipe';
import type { RecipeLine, RecipeLineFault } from './recipe';

const FAULTS: Record<RecipeLineFault, string> = {
  'no-amount': 'No amount was found. Write it first, such as “2 tsp honey” or “30 drops orange”.',
  'parts-differ': 'Its parts are not what the line says in all. Write it anew, or on two lines.',
  'no-place':
    'Where it goes was not understood. Write “stirred in”, “on the floor”, “between the goes”, “on top” or “on the skin”.',
  'base-not-weighed':
    'A base is weighed. Write it as a weight from 1 g to 1000 kg, such as “500 g” or “1 lb”.',
  'base-optional': 'A base can’t be left out: everything else goes into it. Take the word away.',
  'pour-size': 'No size of a pour. Write it such as “A: 22 mm”, “B: 2 parts” or “C: rest”.',
  setting: 'No setting. There are name, for, mold, second mold, pieces, fill, stays in jug and more.',
};

/** What was understood of a line, or why it can't be read. */
export function recipeLineWords(line: RecipeLine): string {
  switch (line.kind) {
    case 'blank':
      return '';
    case 'unread':
      return FAULTS[line.why];
    case 'title':
      return `The plan’s name: ${line.name}`;
    case 'pour':
      return `A pour${line.size ? `: ${writePourSize(line.size)}` : ''}`;
    case 'base':
      return line.amount ? line.amount.text : 'as much as the molds take';
    case 'dose':
      return listed(
        line.parts.map(
          ({ text, laid, isOptional }) =>
            `${text} ${placeWords(laid, line.pourIndex)}${isOptional ? ', if you like' : ''}`,
        ),
      );
  }
}

function placeWords(laid: Laid | null, pourIndex: number): string {
  if (!laid) return 'stirred in';
  const where = laidWords(laid.where, pourIndex);
  return laid.pressed ? `${where}, pressed down` : where;
}

/** What is still to be done before a recipe is a plan. */
export function explainRecipeFault(fault: RecipeFault): string {
  switch (fault.code) {
    case 'nothing':
      return 'No base was found. Begin with one, such as “500 g clear base”.';
    case 'unread':
      return `Line ${fault.at + 1} can’t be read.`;
    case 'which':
      return `Line ${fault.at + 1}: say what “${fault.name}” is.`;
    case 'not-dosed':
      return `Line ${fault.at + 1}: “${fault.name}” is not dosed.`;
    case 'no-base':
      return `Line ${fault.at + 1}: there is no base above it to go into.`;
    case 'no-such-mold':
      return `No mold is called “${fault.name}”.`;
    case 'weight-without-mold':
      return 'Without a mold the weight of the base says how much is made. Write it, such as “600 g clear base”.';
    case 'settings':
      return 'The settings at its end ask for something that no plan has.';
  }
}
