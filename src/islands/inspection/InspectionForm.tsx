import { useState } from 'react';
import type { Inspection, InspectionSaid } from '../../core/inspection/inspection';
import { parseWeights } from '../../core/inspection/weighedPieces';
import type { Sheet } from '../../core/plan/sheet';
import { parseFigure } from '../../core/units/parseFigure';
import { showMass } from '../../core/units/showQuantity';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { Choices } from '../bench/Choices';
import { LargeField } from '../bench/LargeField';
import { PlateForm } from '../pieces/PlateForm';
import { WeightsField } from '../pieces/WeightsField';
import { newId } from '../shared/newId';
import { useShowing } from '../shared/showing';
import { type FaultDraft, FaultsSeen } from './FaultsSeen';

interface Props {
  sheet: Sheet;
  /** From 0. */
  round: number;
  /** Pieces that were made in it. */
  made: number;
  /** What was seen last; null the first time. */
  before: Inspection | null;
  sending: boolean;
  onSave(said: InspectionSaid): void;
}

const SORTS = ['good', 'second', 'scrap', 'remelt'] as const;
type Sort = (typeof SORTS)[number];
const SORT_NAMES: Record<Sort, string> = {
  good: 'Good',
  second: 'Seconds',
  scrap: 'Scrap',
  remelt: 'To melt again',
};

const AGAIN = [
  ['1', 'In a day'],
  ['7', 'In a week'],
  ['14', 'In two weeks'],
  ['30', 'In a month'],
  [null, 'Not'],
] as const;

/** How the pieces of a round came out: sorted, weighed, and what is wrong with them. */
export function InspectionForm({ sheet, round, made, before, sending, onSave }: Props) {
  const showing = useShowing();
  const rule = { unit: '', least: 0, most: made, whole: true };
  const [sorted, setSorted] = useState<Record<Sort, string>>(() => sortedAtFirst(before, made));
  const [faults, setFaults] = useState<FaultDraft[]>([]);
  const [weights, setWeights] = useState('');
  const [note, setNote] = useState('');
  const [again, setAgain] = useState<string | null>(null);
  const [asked, setAsked] = useState(false);

  const read = SORTS.map((sort) => parseFigure(sorted[sort].trim() === '' ? '0' : sorted[sort], rule));
  const [good, second, scrap, remelt] = read.map((each) => (each.success ? each.data : null));
  const sum = read.reduce((total, each) => total + (each.success ? each.data : 0), 0);
  const weighed = parseWeights(weights, showing.system);
  const piecesOf = (draft: FaultDraft) =>
    draft.pieces.trim() === '' ? null : parseFigure(draft.pieces, rule);
  const faultOf = (draft: FaultDraft) => {
    const parsed = piecesOf(draft);
    return parsed === null || parsed.success ? null : explainFigureFault(parsed.error, rule);
  };
  const isWhole =
    good != null &&
    second != null &&
    scrap != null &&
    remelt != null &&
    sum <= made &&
    weighed.success &&
    faults.every((draft) => faultOf(draft) === null);

  function save() {
    setAsked(true);
    if (!isWhole || !weighed.success) return;
    onSave({
      inspectionId: newId(),
      round,
      pieces: { good, second, scrap, remelt },
      faults: faults.map((draft) => {
        const parsed = piecesOf(draft);
        const { spots, ...fault } = draft;
        return { ...fault, ...(spots ? { spots } : {}), pieces: parsed?.success ? parsed.data : null };
      }),
      weightsG: weighed.data.weightsG,
      note: note.trim(),
      againAfterDays: again === null ? null : Number(again),
    });
  }

  return (
    <PlateForm isRefused={asked && !isWhole} sending={sending} label="Write it down" onSave={save}>
      <fieldset>
        <legend className="text-lg font-semibold">Of {made} pieces</legend>
        <div className="grid grid-cols-2 justify-start gap-4 xl:grid-cols-4">
          {SORTS.map((sort, place) => {
            const each = read[place];
            return (
              <LargeField
                key={sort}
                id={`sort-${sort}`}
                label={SORT_NAMES[sort]}
                inputMode="numeric"
                value={sorted[sort]}
                fault={each && !each.success ? explainFigureFault(each.error, rule) : null}
                says=""
                onChange={(value) => setSorted({ ...sorted, [sort]: value })}
              />
            );
          })}
        </div>
        <p className={sum > made ? 'text-error' : 'quiet'} role={sum > made ? 'alert' : undefined}>
          {sum > made
            ? `That is ${sum} pieces, and ${made} were made.`
            : sum < made
              ? `${made - sum} not sorted yet.`
              : 'All of them.'}
        </p>
      </fieldset>
      <FaultsSeen sheet={sheet} faults={faults} faultOf={faultOf} onChange={setFaults} />
      <WeightsField
        id="weights"
        value={weights}
        says={`${showMass(sheet.totals.pieceG, showing)} each by the sheet.`}
        onChange={setWeights}
      >
        ; {showMass(sheet.totals.pieceG, showing)} by the sheet.
      </WeightsField>
      <label className="text-lg font-semibold">
        A word
        <textarea
          className="textarea w-full text-lg font-normal"
          rows={2}
          maxLength={4000}
          value={note}
          onChange={({ target }) => setNote(target.value)}
        />
      </label>
      <Choices<string | null>
        legend="Look at it again"
        name="again"
        options={AGAIN}
        value={again}
        onChange={setAgain}
      />
    </PlateForm>
  );
}

/** All good at first; later as they were sorted last. */
function sortedAtFirst(before: Inspection | null, made: number): Record<Sort, string> {
  const text = (count: number) => (count === 0 ? '' : String(count));
  if (!before) return { good: String(made), second: '', scrap: '', remelt: '' };
  const { good, second, scrap, remelt } = before.pieces;
  return { good: text(good), second: text(second), scrap: text(scrap), remelt: text(remelt) };
}
