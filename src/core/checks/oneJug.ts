import { pourLetter } from '../plan/plan';
import { jugTurns } from '../pours/sharedJug';
import { showMass } from '../units/showQuantity';
import type { Check, Finding } from './finding';

const FAULTS = ['first', 'other-base', 'carried', 'too-much'] as const;
type Fault = (typeof FAULTS)[number];
const CLOSE_G = 1e-6;

/** A pour that goes on in the jug of the one before, and can't: what is in a jug can't be taken out. */
export const oneJug: Check = {
  code: 'one-jug',

  run: (sheet) => {
    const turns = jugTurns(sheet.pours);
    const finding = (fault: Fault, pourIndex: number, rest: Partial<Finding> = {}): Finding => ({
      code: oneJug.code,
      severity: 'stop',
      pourIndex,
      doseIndexes: [],
      about: '',
      figures: { fault: FAULTS.indexOf(fault) },
      assumed: false,
      mend: null,
      ...rest,
    });
    return sheet.pours.flatMap((pour, pourIndex): Finding[] => {
      if (!pour.way.sameJug) return [];
      const before = sheet.pours[pourIndex - 1];
      const turn = turns[pourIndex];
      if (!before || !turn) return [finding('first', pourIndex)];
      if (before.base.id !== pour.base.id)
        return [finding('other-base', pourIndex, { about: before.base.name })];
      const carried = turn.carried.map(({ doseIndex, material }) => {
        const line = before.lines.find((each) => each.doseIndex === doseIndex);
        return finding('carried', pourIndex, {
          about: material.name,
          mend: line
            ? [
                {
                  edit: 'add-dose',
                  pourIndex,
                  materialId: material.id,
                  text: `${Number((line.ofBase * 100).toPrecision(6))} %`,
                  counts: 'content' as const,
                },
              ]
            : null,
        });
      });
      const less = pour.lines.flatMap((line, place) => {
        const overG = -(turn.addG[place] ?? 0);
        return overG > CLOSE_G
          ? [
              finding('too-much', pourIndex, {
                about: line.material.name,
                doseIndexes: [line.doseIndex],
                figures: { fault: FAULTS.indexOf('too-much'), overG },
              }),
            ]
          : [];
      });
      return [...carried, ...less];
    });
  },

  say({ about, pourIndex, figures: { fault = 0, overG = 0 } }, showing) {
    const letter = pourLetter(pourIndex ?? 0);
    const before = pourLetter(Math.max(0, (pourIndex ?? 0) - 1));
    const words: Record<Fault, { title: string; reason: string; mendLabel: string | null }> = {
      first: {
        title: `${letter} has no jug to go on in`,
        reason: 'It is the first pour. Give it a jug of its own.',
        mendLabel: null,
      },
      'other-base': {
        title: `${letter} can’t go on in the jug of ${before}`,
        reason: `That jug holds ${about}, another base. Give ${letter} a jug of its own, or the same base.`,
        mendLabel: null,
      },
      carried: {
        title: `${about} is still in the jug of ${letter}`,
        reason: `It went in before ${before}, and what is in can’t be taken out. Say it in ${letter} too.`,
        mendLabel: `As strong as in ${before}`,
      },
      'too-much': {
        title: `${letter} would need less ${about} than ${before}`,
        reason: `The jug holds ${showMass(overG, showing)} too much already, and what is in can’t be taken out. Pour the paler one first.`,
        mendLabel: null,
      },
    };
    return words[FAULTS[fault] ?? 'first'];
  },
};
