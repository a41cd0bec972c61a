import { useEffect, useRef, useState } from 'react';
import {
  CSV_COLUMNS,
  type CsvContent,
  type CsvMapping,
  type CsvRow,
  type CsvVerdict,
  importOf,
  type ShelfNow,
} from '../../formats/shelfCsv';
import { callApi } from '../shared/api';
import { useCsvWorker } from './useCsvWorker';

const CONTENTS: Record<CsvContent, string> = { materials: 'Materials', lots: 'Lots' };

/** A CSV file in three steps: choose it, say what its columns are, see every row's verdict before it is taken. */
export function ImportCsv({ onClose }: { onClose(): void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  const { state, read, judge, stop } = useCsvWorker();
  const [of, setOf] = useState<CsvContent>('materials');
  const [problem, setProblem] = useState<string | null>(null);
  const [taking, setTaking] = useState(false);
  useEffect(() => dialog.current?.showModal(), []);

  async function judgeWith(mapping: CsvMapping, header: string[]) {
    setProblem(null);
    rememberMapping(of, header, mapping);
    const shelf = await shelfNow();
    if (shelf === null) setProblem('The shelf does not answer. Is Idle Tallow still running?');
    else judge(of, mapping, shelf);
  }

  async function take(rows: CsvRow[]) {
    setTaking(true);
    const answer = await callApi('POST', '/api/shelf/import', importOf(of, rows));
    setTaking(false);
    if (answer.success) location.assign('/shelf');
    else setProblem(answer.error.detail);
  }

  return (
    <dialog ref={dialog} className="modal" aria-labelledby="import-title" onClose={onClose}>
      <div className="modal-box plate max-w-4xl shadow-none">
        <h2 id="import-title" className="text-xl font-semibold">
          Bring in a CSV file
        </h2>
        {(state.kind === 'waiting' || state.kind === 'fault') && (
          <ChooseFile
            of={of}
            fault={state.kind === 'fault' ? state.reason : null}
            onOf={setOf}
            onFile={(file) => void read(file, of)}
          />
        )}
        {state.kind === 'busy' && (
          <div className="my-4" role="status">
            <p>{state.of > 0 ? `Looking at row ${state.done} of ${state.of} …` : 'Reading the file …'}</p>
            <progress
              className="progress progress-primary w-full"
              aria-label="Rows looked at"
              {...(state.of > 0 ? { value: state.done, max: state.of } : {})}
            />
            <button type="button" className="btn btn-secondary mt-2" onClick={stop}>
              Stop
            </button>
          </div>
        )}
        {state.kind === 'read' && (
          <Columns
            of={of}
            header={state.header}
            sample={state.sample}
            rowCount={state.rowCount}
            start={rememberedMapping(of, state.header) ?? state.mapping}
            onGo={(mapping) => judgeWith(mapping, state.header)}
          />
        )}
        {state.kind === 'judged' && <Verdicts rows={state.rows} taking={taking} onTake={take} />}
        {problem && (
          <p role="alert" className="text-error my-2 font-semibold">
            {problem}
          </p>
        )}
        <form method="dialog" className="modal-action">
          <button type="submit" className="btn btn-ghost">
            Close
          </button>
        </form>
      </div>
    </dialog>
  );
}

interface ChooseProps {
  of: CsvContent;
  /** Why the last file could not be read. */
  fault: string | null;
  onOf(of: CsvContent): void;
  onFile(file: File): void;
}

function ChooseFile({ of, fault, onOf, onFile }: ChooseProps) {
  return (
    <div className="my-3 flex flex-col gap-3">
      <p className="quiet text-sm">
        The first line names the columns. Cells are parted by commas or semicolons, in UTF-8. Nothing is taken
        before you have seen every row.
      </p>
      <label className="text-sm font-semibold">
        What is in it
        <select
          className="select min-h-11 w-full max-w-60"
          value={of}
          onChange={({ target }) => onOf(target.value as CsvContent)}
        >
          {Object.entries(CONTENTS).map(([code, name]) => (
            <option key={code} value={code}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <label className="text-sm font-semibold">
        File
        <input
          type="file"
          className="file-input min-h-11 w-full"
          accept=".csv,.txt,text/csv"
          onChange={({ target }) => {
            const file = target.files?.[0];
            if (file) onFile(file);
          }}
        />
      </label>
      {fault !== null && (
        <p role="alert" className="text-error font-semibold">
          {fault}
        </p>
      )}
    </div>
  );
}

/** The shelf as it is on the server, not as this page has read it. */
async function shelfNow(): Promise<ShelfNow | null> {
  const [materials, lots] = await Promise.all([
    callApi<ShelfNow['materials']>('GET', '/api/materials'),
    callApi<ShelfNow['lots']>('GET', '/api/shelf/lots'),
  ]);
  return materials.success && lots.success ? { materials: materials.data, lots: lots.data } : null;
}

const key = (of: CsvContent, header: string[]) => `tallow.columns.${of}.${header.join('|').slice(0, 400)}`;

function rememberedMapping(of: CsvContent, header: string[]): CsvMapping | null {
  const kept = localStorage.getItem(key(of, header));
  return kept === null ? null : JSON.parse(kept);
}

function rememberMapping(of: CsvContent, header: string[], mapping: CsvMapping) {
  localStorage.setItem(key(of, header), JSON.stringify(mapping));
}

interface ColumnsProps {
  of: CsvContent;
  header: string[];
  sample: string[][];
  rowCount: number;
  start: CsvMapping;
  onGo(mapping: CsvMapping): void;
}

function Columns({ of, header, sample, rowCount, start, onGo }: ColumnsProps) {
  const [mapping, setMapping] = useState(start);
  const doubled = mapping.find((each, index) => each !== null && mapping.indexOf(each) < index);
  return (
    <div className="my-3">
      <p className="mb-2">
        {rowCount} {rowCount === 1 ? 'row' : 'rows'}. Say what each column is; one that is left out is not
        read.
      </p>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by key */}
      <section className="max-h-[45vh] overflow-y-auto" tabIndex={0} aria-label="Columns">
        <table className="table-sm table">
          <thead>
            <tr className="text-base-content">
              <th scope="col">In the file</th>
              <th scope="col">First rows</th>
              <th scope="col">Is</th>
            </tr>
          </thead>
          <tbody>
            {header.map((name, index) => (
              <tr key={name + String(index)}>
                <th scope="row">{name || '(no heading)'}</th>
                <td className="quiet max-w-60 truncate">
                  {sample.map((row) => row[index] ?? '').join(' · ')}
                </td>
                <td>
                  <select
                    className="select select-sm min-h-11 w-56"
                    aria-label={`What ${name || `column ${index + 1}`} is`}
                    value={mapping[index] ?? ''}
                    onChange={({ target }) =>
                      setMapping(
                        mapping.map((each, place) => (place === index ? target.value || null : each)),
                      )
                    }
                  >
                    <option value="">left out</option>
                    {CSV_COLUMNS[of].map((column) => (
                      <option key={column.key} value={column.key}>
                        {column.heading}
                      </option>
                    ))}
                  </select>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {doubled && (
        <p role="alert" className="text-error mt-2">
          Two columns are “{CSV_COLUMNS[of].find((column) => column.key === doubled)?.heading}”. Leave one
          out.
        </p>
      )}
      <button
        type="button"
        className="btn btn-primary mt-3"
        disabled={doubled !== undefined}
        onClick={() => onGo(mapping)}
      >
        Look at the rows
      </button>
    </div>
  );
}

const VERDICTS: Record<CsvVerdict, string> = {
  new: 'new',
  changed: 'changes what is there',
  same: 'there already',
  bad: 'can’t be read',
};
const MOST_SHOWN = 200;

interface VerdictsProps {
  rows: CsvRow[];
  taking: boolean;
  onTake(rows: CsvRow[]): void;
}

function Verdicts({ rows, taking, onTake }: VerdictsProps) {
  const [only, setOnly] = useState<CsvVerdict | null>(null);
  const count = (verdict: CsvVerdict) => rows.filter((row) => row.verdict === verdict).length;
  const shown = rows.filter(({ verdict }) => only === null || verdict === only);
  const takes = count('new') + count('changed');
  return (
    <div className="my-3">
      <div className="mb-2 flex flex-wrap gap-2">
        {(Object.keys(VERDICTS) as CsvVerdict[]).map((verdict) => (
          <button
            key={verdict}
            type="button"
            className={`btn btn-sm min-h-11 ${only === verdict ? 'btn-primary' : 'btn-secondary'}`}
            aria-pressed={only === verdict}
            onClick={() => setOnly(only === verdict ? null : verdict)}
          >
            {count(verdict)} {VERDICTS[verdict]}
          </button>
        ))}
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by key */}
      <section className="max-h-[45vh] overflow-y-auto" tabIndex={0} aria-label="Rows">
        <table className="table-sm table">
          <thead>
            <tr className="text-base-content">
              <th scope="col">Row</th>
              <th scope="col">Name</th>
              <th scope="col">Verdict</th>
            </tr>
          </thead>
          <tbody>
            {shown.slice(0, MOST_SHOWN).map(({ row, name, verdict, faults }) => (
              <tr key={row}>
                <td>{row}</td>
                <th scope="row">{name.slice(0, 60)}</th>
                <td className={verdict === 'bad' ? 'text-error' : ''}>
                  {VERDICTS[verdict]}
                  {faults.map(({ column, reason }) => (
                    <span key={column + reason} className="block text-xs">
                      <strong>{column}:</strong> {reason}
                    </span>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {shown.length > MOST_SHOWN && <p className="quiet p-2">and {shown.length - MOST_SHOWN} more</p>}
      </section>
      <div className="mt-3 flex flex-wrap gap-2">
        {count('bad') === 0 ? (
          <button
            type="button"
            className="btn btn-primary"
            disabled={taking || takes === 0}
            onClick={() => onTake(rows)}
          >
            {taking
              ? 'Taking them …'
              : takes === 0
                ? 'Nothing to take'
                : `Take ${takes === 1 ? 'it' : `all ${takes}`}`}
          </button>
        ) : (
          <>
            <button
              type="button"
              className="btn btn-primary"
              disabled={taking || takes === 0}
              onClick={() => onTake(rows)}
            >
              {taking ? 'Taking them …' : `Take only the ${takes} good ones`}
            </button>
            <p className="quiet self-center text-sm">or close, mend the file, and bring in all of it.</p>
          </>
        )}
      </div>
    </div>
  );
}
