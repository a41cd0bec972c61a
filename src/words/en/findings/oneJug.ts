import { pourLetter } from '../../../core/plan/plan';
import { showMass } from '../../../core/units/showQuantity';
import type { Describe } from './described';

const before = (pourIndex: number | null) => pourLetter(Math.max(0, (pourIndex ?? 0) - 1));

export const noJugToGoOnIn: Describe<'no-jug-to-go-on-in'> = ({ pourIndex }) => ({
  title: `${pourLetter(pourIndex ?? 0)} has no jug to go on in`,
  reason: 'It is the first pour. Give it a jug of its own.',
  fixLabel: null,
});

export const jugOfAnotherBase: Describe<'jug-of-another-base'> = ({ about, pourIndex }) => {
  const letter = pourLetter(pourIndex ?? 0);
  return {
    title: `${letter} can’t go on in the jug of ${before(pourIndex)}`,
    reason: `That jug holds ${about}, another base. Give ${letter} a jug of its own, or the same base.`,
    fixLabel: null,
  };
};

export const carriedInJug: Describe<'carried-in-jug'> = ({ about, pourIndex, fix }) => {
  const letter = pourLetter(pourIndex ?? 0);
  return {
    title: `${about} is still in the jug of ${letter}`,
    reason: `It went in before ${before(pourIndex)}, and what is in can’t be taken out. Say it in ${letter} too.`,
    fixLabel: fix && `As strong as in ${before(pourIndex)}`,
  };
};

export const tooMuchInJug: Describe<'too-much-in-jug'> = ({ about, pourIndex, overG }, showing) => ({
  title: `${pourLetter(pourIndex ?? 0)} would need less ${about} than ${before(pourIndex)}`,
  reason: `The jug holds ${showMass(overG, showing)} too much already, and what is in can’t be taken out. Pour the paler one first.`,
  fixLabel: null,
});
