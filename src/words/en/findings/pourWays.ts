import { pourLetter } from '../../../core/plan/plan';
import { showNumber } from '../../../core/units/showQuantity';
import type { Describe, Described } from './described';

export const pourWays: Describe<'pour-ways'> = ({ pourIndex, fault, nearlyMm }, { locale }) => {
  const letter = pourLetter(pourIndex ?? 0);
  const before = pourLetter(Math.max(0, (pourIndex ?? 0) - 1));
  const words: Record<typeof fault, Omit<Described, 'fixLabel'>> = {
    'nothing-beside': {
      title: `${letter} has nothing to go in beside`,
      reason: 'It is the first pour. Put the other one before it.',
    },
    'two-jugs': {
      title: `${before} and ${letter} must be as hot as one another`,
      reason: 'They go in at once from both sides; the hotter one runs under the other.',
    },
    'dropped-last': {
      title: `Nothing marbles ${letter}`,
      reason: 'What is dripped on is drawn out by the pour that follows it. Add one on top.',
    },
    'dye-pockets': {
      title: `${letter} may leave pockets of colour`,
      reason: 'Drops that are not swept up stain the skin. Trim them off, or melt that bar again.',
    },
    'trimmed-between': {
      title: `${letter} can’t be cut off`,
      reason: 'Pours that stay lie on both sides of it. Only the first or the topmost pours can be.',
    },
    'ball-at-once': {
      title: `${letter} fills the ball past its seam`,
      reason: `Fill one half nearly full first, to ${showNumber(nearlyMm ?? 0, 0, locale)} mm; let it set, spritz, clamp the other half on, and pour the rest through the hole.`,
    },
  };
  return { ...words[fault], fixLabel: null };
};
