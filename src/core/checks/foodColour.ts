import { releaseCheck } from './releaseCheck';

/** Food colouring: refused, or only warned of when the house rules say so. */
export const foodColour = releaseCheck({
  code: 'food-colour',
  refuses: (material) => material.kind === 'colorant' && material.form === 'food',
  severity: ({ rules }) => (rules.foodColour === 'refuse' ? 'stop' : 'caution'),
});
