import { isLaid } from '../plan/sheet';
import { doseLines } from './doseLines';
import type { Check } from './finding';

/** Petals and leaves lose their colour. From memory: green and purple ones first. */
export const botanicalBrowns: Check = (sheet) =>
  doseLines(sheet)
    .filter(({ line }) => !isLaid(line))
    .filter(({ line: { material } }) => material.kind === 'additive' && material.role === 'botanical')
    .map(({ line, pourIndex, doseIndexes }) => ({
      code: 'botanical-browns',
      severity: 'note',
      pourIndex,
      doseIndexes,
      about: line.material.name,
      assumed: false,
      fix: null,
    }));
