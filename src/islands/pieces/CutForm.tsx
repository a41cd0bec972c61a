import { useState } from 'react';
import { parseWeights } from '../../core/inspection/weighedPieces';
import { CUT_WAYS, type CutOf, type CutSaid, type CutWay, uncutBlocks } from '../../core/pieces/cut';
import { ok } from '../../core/result';
import { piecesMade, roundGives } from '../../core/run/piecesMade';
import type { Progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import { parseFigure } from '../../core/units/parseFigure';
import { parseMass } from '../../core/units/parseMass';
import { massUnit, showMass } from '../../core/units/showQuantity';
import { CUT_WAY_NAMES } from '../../words/en/pieces/piecesWords';
import { counted } from '../../words/en/plural';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { explainWeightFault } from '../../words/en/units/weightFault';
import { Choices } from '../bench/Choices';
import { LargeField } from '../bench/LargeField';
import { newId } from '../shared/newId';
import { useShowing } from '../shared/showing';
import { PlateForm } from './PlateForm';
import { WeightsField } from './WeightsField';

interface Props {
  run: Run;
  so: Progress;
  /** From 0. */
  round: number;
  sending: boolean;
  onSave(said: CutSaid): void;
}

const INTO = { unit: '', least: 1, most: 1_000_000, whole: true };

/** Blocks into bars, or pieces into smaller ones: how many that gave, what they weigh, what was lost. */
export function CutForm({ run, so, round, sending, onSave }: Props) {
  const showing = useShowing();
  const { sheet } = run.snapshot;
  const own = so.cuts.filter((cut) => cut.round === round);
  const gives = roundGives(sheet, round);
  const blocks = uncutBlocks(gives, own);
  const pieces = piecesMade(sheet, round, so, true);
  const [of, setOf] = useState<CutOf>(blocks > 0 && sheet.mold.sliceMm !== null ? 'blocks' : 'pieces');
  const most = of === 'blocks' ? blocks : pieces;
  const [count, setCount] = useState(() => String(of === 'blocks' ? Math.max(1, blocks) : 1));
  const [into, setInto] = useState(() =>
    of === 'blocks' ? String(Math.max(1, Math.round((gives.pieces * blocks) / gives.blocks))) : '',
  );
  const [how, setHow] = useState<CutWay>('equal');
  const [weights, setWeights] = useState('');
  const [loss, setLoss] = useState('');
  const [asked, setAsked] = useState(false);

  const countRule = { unit: '', least: 1, most: Math.max(1, most), whole: true };
  const countRead = parseFigure(count, countRule);
  const intoRead = parseFigure(into, INTO);
  const weighed = parseWeights(weights, showing.system);
  const lossRead = loss.trim() === '' ? ok(0) : parseMass(loss, showing.system);
  const isWhole = countRead.success && intoRead.success && weighed.success && lossRead.success && most > 0;
  const each = of === 'blocks' ? sheet.totals.fillG : sheet.totals.pieceG;
  const eachG =
    countRead.success && intoRead.success && countRead.data !== null && intoRead.data !== null
      ? (each * countRead.data) / intoRead.data
      : null;

  function change(next: CutOf) {
    setOf(next);
    setCount(String(next === 'blocks' ? Math.max(1, blocks) : 1));
    setInto(next === 'blocks' ? String(gives.pieces) : '');
  }

  function save() {
    setAsked(true);
    if (!countRead.success || !intoRead.success || !weighed.success || !lossRead.success || !(most > 0))
      return;
    if (countRead.data === null || intoRead.data === null) return;
    onSave({
      ...{ cutId: newId(), round, of, how, count: countRead.data, into: intoRead.data },
      ...{ weightsG: weighed.data.weightsG, lossG: lossRead.data },
    });
  }

  return (
    <PlateForm
      isRefused={asked && !isWhole}
      sending={sending}
      label="It is cut"
      onSave={save}
      below={
        <>
          {counted(pieces, 'piece is', 'pieces are')} there by what was said so far. A block cuts best while
          it is a little warm. Away from yourself.
        </>
      }
    >
      <Choices<CutOf>
        legend="What is cut"
        name="cut-of"
        options={[
          ['blocks', `A whole block (${blocks} left)`],
          ['pieces', `Pieces, smaller (${pieces} there)`],
        ]}
        value={of}
        onChange={change}
      />
      <div className="flex flex-wrap gap-6">
        <LargeField
          id="cut-count"
          label={of === 'blocks' ? 'Blocks' : 'Pieces'}
          inputMode="numeric"
          value={count}
          fault={
            most === 0
              ? 'There is none left.'
              : countRead.success
                ? null
                : explainFigureFault(countRead.error, countRule)
          }
          says={`of ${most}`}
          onChange={setCount}
        />
        <LargeField
          id="cut-into"
          label="Gave"
          unit="pieces"
          inputMode="numeric"
          value={into}
          fault={
            intoRead.success || (into === '' && !asked) ? null : explainFigureFault(intoRead.error, INTO)
          }
          says={eachG === null ? '' : `about ${showMass(eachG, showing)} each`}
          onChange={setInto}
        />
      </div>
      <Choices<CutWay>
        legend="How"
        name="cut-how"
        options={CUT_WAYS.map((way) => [way, CUT_WAY_NAMES[way]])}
        value={how}
        onChange={setHow}
      />
      <WeightsField id="cut-weights" value={weights} says="As many as you like." onChange={setWeights} />
      <LargeField
        id="cut-loss"
        label="Crumbs and what is thrown away"
        unit={massUnit(showing.system)}
        inputMode="decimal"
        value={loss}
        fault={lossRead.success ? null : explainWeightFault(lossRead.error)}
        says="Empty is nothing. What is kept for the jar is set aside instead."
        onChange={setLoss}
      />
    </PlateForm>
  );
}
