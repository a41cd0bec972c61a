import { useMemo, useState } from 'react';
import { goodPiecesSeen } from '../../core/inspection/inspection';
import { ok } from '../../core/result';
import { massKept } from '../../core/run/massKept';
import { progress } from '../../core/run/progress';
import type { Fill, Run, RunEvent, Verdict } from '../../core/run/run';
import { FILLS, VERDICTS } from '../../core/run/run';
import { type ScrapOfRun, scrapOf } from '../../core/run/scrap';
import { weighedG } from '../../core/run/weighedG';
import type { RunStock } from '../../core/stock/runStock';
import { parseFigure } from '../../core/units/parseFigure';
import { parseMass } from '../../core/units/parseMass';
import { massUnit, type Showing, showMass } from '../../core/units/showQuantity';
import { writeMass } from '../../core/units/writeQuantity';
import { VERDICT_NAMES } from '../../words/en/run/verdictNames';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { explainWeightFault } from '../../words/en/units/weightFault';
import { useShowing } from '../shared/showing';
import { Choices } from './Choices';
import { LargeField } from './LargeField';
import { OffTheShelf } from './OffTheShelf';

interface Props {
  run: Run;
  stock: RunStock;
  sending: boolean;
  onFinish(event: RunEvent): void;
}

/** Less is not worth a jar. */
const LEAST_SCRAP_G = 1;
const PIECES = { unit: '', least: 0, most: 100_000, whole: true };

const FILL_NAMES: Record<Fill, string> = { 'as-planned': 'As full as planned', short: 'Short' };

/** Everything is out of its mold: how it came out, and into the Logbook. */
export function FinishForm({ run, stock, sending, onFinish }: Props) {
  const showing = useShowing();
  const [verdict, setVerdict] = useState<Verdict>('good');
  const { sheet } = run.snapshot;
  const [pieces, setPieces] = useState(() => String(piecesAtFirst(run)));
  const [fill, setFill] = useState<Fill | null>(null);
  const [note, setNote] = useState('');
  const [chosen, setChosen] = useState<ReadonlyMap<string, string>>(new Map());
  const scrap = useScrapText(run);
  const parsed = parseFigure(pieces, PIECES);

  return (
    <form
      className="plate flex flex-1 flex-col gap-4 overflow-y-auto px-6 pt-6"
      onSubmit={(event) => {
        event.preventDefault();
        if (parsed.success && scrap.massG !== null)
          onFinish({
            kind: 'finished',
            verdict,
            goodPieces: parsed.data,
            note: note.trim(),
            ...(fill ? { fill } : {}),
            ...(scrap.massG > 0 ? { toScrapG: scrap.massG } : {}),
            lots: [...chosen].map(([materialId, lotId]) => ({ materialId, lotId })),
          });
      }}
    >
      <h2 className="text-2xl font-semibold">Out of the mold</h2>
      <p className="text-lg">
        {showMass(weighedG(run), showing)} went into the jug; {showMass(sheet.totals.jugG, showing)} was
        planned.
      </p>
      <Choices<Verdict>
        legend="How did it come out?"
        name="verdict"
        options={VERDICTS.map((each) => [each, VERDICT_NAMES[each]])}
        value={verdict}
        onChange={setVerdict}
      />
      <LargeField
        id="good-pieces"
        label="Good pieces"
        inputMode="numeric"
        value={pieces}
        fault={parsed.success ? null : explainFigureFault(parsed.error, PIECES)}
        says={`of ${sheet.pieces} planned`}
        onChange={setPieces}
      />
      <Choices<Fill | null>
        legend="How full were the cavities?"
        name="fill"
        options={[...FILLS.map((each): [Fill, string] => [each, FILL_NAMES[each]]), [null, 'Nobody looked']]}
        value={fill}
        onChange={setFill}
      />
      <div>
        <label htmlFor="run-note" className="text-lg font-semibold">
          Note: what to change next time
        </label>
        <textarea
          id="run-note"
          className="textarea w-full text-lg"
          rows={3}
          maxLength={4000}
          value={note}
          onChange={({ target }) => setNote(target.value)}
        />
      </div>
      <LargeField
        id="to-scrap"
        label="Into the scrap jar"
        unit={massUnit(showing.system)}
        inputMode="decimal"
        value={scrap.text}
        fault={scrap.fault}
        says={scrapWords(scrap.planned, run.snapshot.rules.spareMoldId !== null, showing)}
        onChange={scrap.setText}
      />
      <OffTheShelf
        run={run}
        stock={stock}
        chosen={chosen}
        onChoose={(materialId, lotId) => setChosen(new Map(chosen).set(materialId, lotId))}
      />
      <div className="bg-base-100 sticky bottom-0 mt-auto flex shrink-0 flex-col pt-2 pb-6">
        <button
          type="submit"
          className="btn btn-primary h-20 text-3xl"
          disabled={sending || !parsed.success || scrap.massG === null}
        >
          {sending ? 'Recording …' : 'Into the Logbook'}
        </button>
      </div>
    </form>
  );
}

/** As many as were found good where every round was looked at, else as planned. */
function piecesAtFirst(run: Run): number {
  const { sheet } = run.snapshot;
  return goodPiecesSeen(progress(run).inspections, sheet.totals.rounds) ?? sheet.pieces;
}

/** What goes into the scrap jar as it is typed, at first what is over by the sheet; null where it can't be read. */
function useScrapText(run: Run) {
  const showing = useShowing();
  const planned = useMemo(() => scrapOf(run), [run]);
  const { spareMoldId } = run.snapshot.rules;
  // With a spare mold, what is left over is poured into that.
  const bySheetG = planned.trimmedG + planned.endsG + (spareMoldId === null ? planned.leftOverG : 0);
  // What was set aside already is in its jar.
  const plannedG = Math.max(0, bySheetG - progress(run).asides.reduce((sum, { massG }) => sum + massG, 0));
  const [text, setText] = useState(() =>
    plannedG > LEAST_SCRAP_G ? writeMass(plannedG, showing.system) : '',
  );
  const parsed = text.trim() === '' ? ok(0) : parseMass(text, showing.system);
  // No more than went in and is not told of yet.
  const mostG = Math.max(0, massKept(run, progress(run)).restG);
  const fault = !parsed.success
    ? explainWeightFault(parsed.error)
    : parsed.data > mostG + 1e-6
      ? `At the most ${showMass(mostG, showing)}: that is what went in and is not told of yet.`
      : null;
  return { planned, text, setText, fault, massG: parsed.success && fault === null ? parsed.data : null };
}

/** Where it would come from, by the sheet and the weighings. */
function scrapWords(
  { trimmedG, endsG, leftOverG }: ScrapOfRun,
  hasSpareMold: boolean,
  showing: Showing,
): string {
  const parts = [
    trimmedG > LEAST_SCRAP_G ? `${showMass(trimmedG, showing)} cut off` : '',
    endsG > LEAST_SCRAP_G ? `${showMass(endsG, showing)} of ends` : '',
    leftOverG > LEAST_SCRAP_G
      ? `${showMass(leftOverG, showing)} melted beyond the molds${hasSpareMold ? ', which is for the spare mold' : ''}`
      : '',
  ].filter((part) => part !== '');
  return parts.length > 0
    ? `${parts.join(', ')}, by the sheet. Write what it is.`
    : 'Nothing, by the sheet. Empty is nothing.';
}
