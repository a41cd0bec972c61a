import { useMemo, useState } from 'react';
import { lastWeightsG } from '../../core/inspection/inspection';
import { ASIDE_OF, type AsideOf, type AsideSaid } from '../../core/pieces/aside';
import type { Result } from '../../core/result';
import { massKept } from '../../core/run/massKept';
import { piecesMade } from '../../core/run/piecesMade';
import type { Progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import { scrapOf } from '../../core/run/scrap';
import { parseFigure } from '../../core/units/parseFigure';
import { parseMass } from '../../core/units/parseMass';
import type { QuantityFault } from '../../core/units/quantityFault';
import { massUnit, type Showing, showMass } from '../../core/units/showQuantity';
import { writeMass } from '../../core/units/writeQuantity';
import { ASIDE_NAMES, massKeptWords } from '../../words/en/pieces/piecesWords';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { explainWeightFault } from '../../words/en/units/weightFault';
import { Choices } from '../bench/Choices';
import { LargeField } from '../bench/LargeField';
import { newId } from '../shared/newId';
import { useShowing } from '../shared/showing';
import { PlateForm } from './PlateForm';
import { LONGEST_JAR_NAME, NOWHERE_YET, WhereTo, whereFault, whereOf } from './WhereTo';
import { WhichPours } from './WhichPours';

interface Props {
  run: Run;
  so: Progress;
  /** From 0. */
  round: number;
  /** Names of the scrap jars there are. */
  jars: readonly string[];
  sending: boolean;
  onSave(said: AsideSaid): void;
}

/** Less is not worth a jar. */
const LEAST_G = 1;

/** What goes from a round into a jar, is kept, or is thrown away, and what it weighs. */
export function AsideForm({ run, so, round, jars, sending, onSave }: Props) {
  const showing = useShowing();
  const { sheet } = run.snapshot;
  const pieces = piecesMade(sheet, round, so, true);
  const bySheet = useMemo(() => scrapOf(run), [run]);
  const [of, setOf] = useState<AsideOf>('ends');
  const [where, setWhere] = useState(NOWHERE_YET);
  const [pours, setPours] = useState<readonly number[]>([]);
  const [mass, setMass] = useState('');
  const [count, setCount] = useState('1');
  const [asked, setAsked] = useState(false);

  const rule = { unit: '', least: 1, most: Math.max(1, pieces), whole: true };
  const countRead = parseFigure(count, rule);
  const weights = lastWeightsG(so.inspections.filter((each) => each.round === round));
  const eachG =
    weights.length > 0 ? weights.reduce((sum, each) => sum + each, 0) / weights.length : sheet.totals.pieceG;
  const plannedG = {
    ends: bySheet.endsG,
    trimmed: bySheet.trimmedG,
    'left-over': bySheet.leftOverG,
    drips: 0,
  };
  const byCountG = countRead.success ? eachG * (countRead.data ?? 0) : 0;
  const usualG = of === 'pieces' ? byCountG : plannedG[of];
  const massText =
    mass === '' && of === 'pieces' && byCountG > 0 ? writeMass(byCountG, showing.system) : mass;
  const massRead = parseMass(massText, showing.system);
  const kept = massKept(run, so);
  const massFault = faultOfMass(massText, massRead, kept.restG, asked, showing);
  const isPieces = of === 'pieces';
  const usualJar = `Scrap of ${sheet.planName.replaceAll(';', ',')}`.slice(0, LONGEST_JAR_NAME);
  const fault = whereFault(where, isPieces);
  const isWhole = massText !== '' && massFault === null && fault === null && (!isPieces || countRead.success);

  function save() {
    setAsked(true);
    if (!isWhole || !massRead.success) return;
    onSave({
      ...{ asideId: newId(), round, of, massG: massRead.data, to: whereOf(where, usualJar) },
      pourIndexes: [...pours],
      pieces: isPieces && countRead.success ? countRead.data : null,
    });
  }

  return (
    <PlateForm
      isRefused={asked && !isWhole}
      sending={sending}
      label="It is set aside"
      onSave={save}
      below={massKeptWords(kept, showing)}
    >
      <Choices<AsideOf>
        legend="What"
        name="aside-of"
        options={ASIDE_OF.map((each) => [each, ASIDE_NAMES[each]])}
        value={of}
        onChange={setOf}
      />
      <WhichPours pours={sheet.pours} marked={pours} onChange={setPours} />
      <div className="flex flex-wrap gap-6">
        {isPieces && (
          <LargeField
            id="aside-count"
            label="Pieces"
            inputMode="numeric"
            value={count}
            fault={countRead.success ? null : explainFigureFault(countRead.error, rule)}
            says={`of ${pieces}`}
            onChange={setCount}
          />
        )}
        <LargeField
          id="aside-mass"
          label="Weight"
          unit={massUnit(showing.system)}
          inputMode="decimal"
          value={massText}
          fault={massFault}
          says={usualG > LEAST_G ? `about ${showMass(usualG, showing)} by the sheet` : ''}
          onChange={setMass}
        />
      </div>
      <WhereTo draft={where} usualJar={usualJar} jars={jars} fault={fault} onChange={setWhere} />
    </PlateForm>
  );
}

function faultOfMass(
  text: string,
  read: Result<number, QuantityFault>,
  restG: number,
  asked: boolean,
  showing: Showing,
): string | null {
  if (text === '') return asked ? 'Write what it weighs.' : null;
  if (!read.success) return explainWeightFault(read.error);
  if (!(read.data > 0)) return 'Write what it weighs.';
  return read.data > restG + 1e-6
    ? `More than the ${showMass(Math.max(0, restG), showing)} that are not told of yet.`
    : null;
}
