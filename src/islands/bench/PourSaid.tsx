import { useState } from 'react';
import { ok, type Result } from '../../core/result';
import { baseTaskId } from '../../core/run/jugBase';
import { type FigureFault, parseFigure } from '../../core/units/parseFigure';
import { parseMass } from '../../core/units/parseMass';
import type { QuantityFault } from '../../core/units/quantityFault';
import { massUnit, showMass, showMassFigure } from '../../core/units/showQuantity';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { explainWeightFault } from '../../words/en/units/weightFault';
import { useShowing } from '../shared/showing';
import { emptyJugG } from './emptyJugs';
import type { FaceProps } from './faceProps';
import { LargeField } from './LargeField';

const CAVITIES = { unit: '', least: 0, most: 100_000 };

/** What may be said of a pour as it is ticked. */
export interface SaidOfPour {
  cavities: string;
  left: string;
  setCavities(text: string): void;
  setLeft(text: string): void;
  /** Nothing stands there that can't be read. */
  isRead: boolean;
  event: { cavities?: number; leftG?: number };
  cavitiesRead: Result<number | null, FigureFault>;
  leftRead: Result<number | null, QuantityFault>;
}

export function usePourSaid(): SaidOfPour {
  const showing = useShowing();
  const [cavities, setCavities] = useState('');
  const [left, setLeft] = useState('');
  const cavitiesRead = cavities.trim() === '' ? ok(null) : parseFigure(cavities, CAVITIES);
  const leftRead = left.trim() === '' ? ok(null) : parseMass(left, showing.system);
  const isRead = cavitiesRead.success && leftRead.success;
  return {
    ...{ cavities, left, setCavities, setLeft, cavitiesRead, leftRead, isRead },
    event: {
      ...(cavitiesRead.success && cavitiesRead.data !== null ? { cavities: cavitiesRead.data } : {}),
      ...(leftRead.success && leftRead.data !== null ? { leftG: leftRead.data } : {}),
    },
  };
}

/** What stands on the scale beyond the empty jug of a pour, g; null where that is not known, or is nothing. */
export function leftOnScale({ run, task, scale: { loadG } }: FaceProps): number | null {
  const emptyG = emptyJugG(run.id, baseTaskId(run.snapshot, task));
  return loadG !== null && emptyG !== null && loadG > emptyG ? loadG - emptyG : null;
}

/**
 * How many cavities it filled and what stayed in the jug, where somebody wants to say so.
 *
 * @param standsG what the scale shows of its jug; null where nobody can tell
 */
export function PourSaid({ said, standsG }: { said: SaidOfPour; standsG: number | null }) {
  const showing = useShowing();
  const { cavities, left, cavitiesRead, leftRead, setCavities, setLeft } = said;
  return (
    <details className="my-2" open={cavities !== '' || left !== '' ? true : undefined}>
      <summary className="flex min-h-11 cursor-pointer items-center text-lg">What came of it</summary>
      <div className="flex flex-wrap gap-6">
        <LargeField
          id="cavities-filled"
          label="Cavities filled"
          inputMode="decimal"
          value={cavities}
          fault={cavitiesRead.success ? null : explainFigureFault(cavitiesRead.error, CAVITIES)}
          says=""
          onChange={setCavities}
        />
        <LargeField
          id="left-in-jug"
          label="Left in the jug"
          unit={massUnit(showing.system)}
          inputMode="decimal"
          value={left}
          fault={leftRead.success ? null : explainWeightFault(leftRead.error)}
          says="weighed before it is washed"
          onChange={setLeft}
        />
        {standsG !== null && (
          <button
            type="button"
            className="btn btn-secondary btn-lg self-center"
            onClick={() => setLeft(showMassFigure(standsG, showing))}
          >
            {showMass(standsG, showing)} by the scale
          </button>
        )}
      </div>
    </details>
  );
}
