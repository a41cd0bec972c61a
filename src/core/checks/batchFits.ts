import { hasMold } from '../molds/noMold';
import type { Check } from './finding';
import { PLAIN } from './plain';

/** A batch whose weight the pieces can't hold, or nothing follows from. */
export const batchFits: Check = ({ batch, pieces, mold }) => {
  const isInMold = hasMold({ mold });
  if (!batch || batch.fault === null) return [];
  const { fault, massG, by, comesToG } = batch;
  return [
    {
      ...PLAIN,
      code: 'batch-missed',
      severity: 'stop',
      pourIndex: null,
      fault,
      by,
      massG,
      comesToG,
      pieces: isInMold ? pieces : null,
      // More pieces take any weight; fewer may not make it fit.
      // Without a mold there is nothing else to say it by.
      fix: isInMold ? [{ kind: 'set-batch', gives: fault === 'over' ? 'pieces' : null }] : null,
    },
  ];
};
