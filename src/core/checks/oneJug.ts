import type { SheetPour } from '../plan/sheet';
import { type JugTurn, jugTurns } from '../pours/sharedJug';
import type { Check, Found } from './finding';
import { PLAIN } from './plain';

const CLOSE_G = 1e-6;

/** A pour that goes on in the jug of the one before, and can't: what is in a jug can't be taken out. */
export const oneJug: Check = ({ pours }) => {
  const turns = jugTurns(pours);
  return pours.flatMap((pour, pourIndex): Found[] => {
    if (!pour.way.sameJug) return [];
    const common = { ...PLAIN, severity: 'stop', pourIndex } as const;
    const before = pours[pourIndex - 1];
    const turn = turns[pourIndex];
    if (!before || !turn) return [{ ...common, code: 'no-jug-to-go-on-in' }];
    if (before.base.id !== pour.base.id)
      return [{ ...common, code: 'jug-of-another-base', about: before.base.name }];
    return [...carried(turn, before, pourIndex), ...tooMuch(turn, pour, pourIndex)];
  });
};

/** Doses of the pour before that this one does not say. */
function carried(turn: JugTurn, before: SheetPour, pourIndex: number): Found[] {
  return turn.carried.map(({ doseIndex, material }) => {
    const line = before.lines.find((each) => each.doseIndex === doseIndex);
    return {
      ...PLAIN,
      code: 'carried-in-jug',
      severity: 'stop',
      pourIndex,
      about: material.name,
      fix: line
        ? [
            {
              kind: 'add-dose',
              pourIndex,
              materialId: material.id,
              text: `${Number((line.ofBase * 100).toPrecision(6))} %`,
              counts: 'content',
            },
          ]
        : null,
    };
  });
}

function tooMuch(turn: JugTurn, { lines }: SheetPour, pourIndex: number): Found[] {
  return lines.flatMap((line, place): Found[] => {
    const overG = -(turn.addG[place] ?? 0);
    if (overG <= CLOSE_G) return [];
    return [
      {
        ...PLAIN,
        code: 'too-much-in-jug',
        severity: 'stop',
        pourIndex,
        about: line.material.name,
        doseIndexes: [line.doseIndex],
        overG,
      },
    ];
  });
}
