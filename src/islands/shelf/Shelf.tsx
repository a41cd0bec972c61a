import { Download, FileUp, Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { Material } from '../../core/materials/material';
import type { LotStock } from '../../core/stock/stock';
import { stockOfPage, withStart } from '../shared/pageData';
import type { StoredItem } from '../shared/saveQueue';
import { useShowing, withShowing } from '../shared/showing';
import { UndoLine } from '../shared/UndoLine';
import { useRecords } from '../shared/useRecords';
import { Documents } from './Documents';
import { ImportCsv } from './ImportCsv';
import { Lots } from './Lots';
import { MaterialEditor } from './MaterialEditor';
import { EVERYTHING, isWanted, ShelfFilters } from './ShelfFilters';
import { ShelfTable } from './ShelfTable';
import { ShelfMaterials } from './shelfMaterials';
import { searched, shelfRow } from './shelfRows';

interface Props {
  /** The materials as they are stored. */
  start: StoredItem<Material>[];
  currency: string;
  /** The material whose form is open from the start. */
  asked: string | null;
  askedSide: 'record' | 'lots';
}

/** Materials with their limits and what is left of them; unknown is said as “not known”, never as zero. */
function Shelf({ start, currency, asked, askedSide }: Props) {
  const showing = useShowing();
  const own = useRecords<Material>('/api/materials', 'material', start);
  const { records, save, put, remove } = own;
  const [stock, setStock] = useState(stockOfPage);
  const [open, setOpen] = useState<StoredItem<Material> | 'new' | null>(
    () => start.find(({ item }) => item.id === asked) ?? null,
  );
  const [wanted, setWanted] = useState(EVERYTHING);
  const [side, setSide] = useState(askedSide);
  const [importing, setImporting] = useState(false);

  const materials = useMemo(() => records.map(({ item }) => item), [records]);
  const rows = useMemo(() => {
    const all = records
      .filter(({ item }) => wanted.withArchived || !item.archived)
      .map((stored) => shelfRow(stored, stock))
      .filter((row) => isWanted(row, wanted.kind));
    return searched(all, wanted.search);
  }, [records, stock, wanted]);
  const opened = open === 'new' ? null : open;
  // A blend is weighed from its members’ bottles, so it has no lots.
  const hasLots = opened !== null && opened.item.kind !== 'blend';
  const setLots = (materialId: string, lots: LotStock[]) =>
    setStock((before) => new Map(before).set(materialId, lots));

  return (
    <ShelfMaterials.Provider value={materials}>
      <div className="flex flex-col gap-3">
        <header className="flex flex-wrap items-center gap-2">
          <h1 className="mr-auto text-2xl font-semibold">Shelf</h1>
          <a className="btn btn-ghost" href="/purchases">
            Purchases
          </a>
          <button type="button" className="btn btn-secondary" onClick={() => setImporting(true)}>
            <FileUp size={20} aria-hidden="true" />
            Bring in a CSV file
          </button>
          <ExportMenu />
          <button type="button" className="btn btn-primary" onClick={() => setOpen('new')}>
            <Plus size={20} aria-hidden="true" />
            New material
          </button>
        </header>
        <UndoLine of={own} onUndone={() => setOpen(null)} />
        <ShelfFilters wanted={wanted} onChange={setWanted} />
        <div className={`grid items-start gap-3 ${open ? 'xl:grid-cols-[1fr_34rem]' : ''}`}>
          {open && (
            <div className="flex flex-col gap-3 xl:order-last">
              {hasLots && <SideTabs side={side} onSide={setSide} />}
              {side === 'lots' && hasLots ? (
                <Lots
                  key={opened.item.id}
                  material={opened.item}
                  currency={currency}
                  onStock={(lots) => setLots(opened.item.id, lots)}
                />
              ) : (
                <MaterialEditor
                  key={opened ? `${opened.item.id} ${opened.revision}` : 'new'}
                  was={opened}
                  materials={materials}
                  save={save}
                  remove={remove}
                  locale={showing.locale}
                  onTheirs={(theirs) => {
                    put(theirs);
                    setOpen(theirs);
                  }}
                  onDone={() => setOpen((now) => (now === open ? null : now))}
                />
              )}
              {side !== 'lots' && opened && (
                <Documents
                  key={`documents ${opened.item.id}`}
                  material={opened.item}
                  locale={showing.locale}
                />
              )}
            </div>
          )}
          {records.length === 0 ? (
            <p className="plate p-5">
              The shelf is empty. Begin with a base: press “New material” and choose Base, or bring in a CSV
              file.
            </p>
          ) : rows.length === 0 ? (
            <p className="plate p-5">
              Nothing on the shelf fits. Take a filter away, or write less of the name.
            </p>
          ) : (
            <ShelfTable
              rows={rows}
              currency={currency}
              openId={opened?.item.id ?? null}
              narrow={open !== null}
              onOpen={({ stored }) => setOpen(stored)}
            />
          )}
        </div>
      </div>
      {importing && <ImportCsv onClose={() => setImporting(false)} />}
    </ShelfMaterials.Provider>
  );
}

export default withShowing(withStart('shelf', Shelf));

type Side = Props['askedSide'];

/** A material's record, or its lots. */
function SideTabs({ side, onSide }: { side: Side; onSide(side: Side): void }) {
  return (
    <div role="tablist" className="flex gap-1" aria-label="What to see of it">
      {(['record', 'lots'] as const).map((each) => (
        <button
          key={each}
          type="button"
          role="tab"
          aria-selected={side === each}
          className={`btn ${side === each ? 'btn-primary' : 'btn-ghost'}`}
          onClick={() => onSide(each)}
        >
          {each === 'record' ? 'Record' : 'Lots and stock'}
        </button>
      ))}
    </div>
  );
}

const EXPORTS = [
  ['materials', '', 'Materials, commas'],
  ['materials', '&style=semicolon', 'Materials, semicolons and decimal comma'],
  ['lots', '', 'Lots, commas'],
  ['lots', '&style=semicolon', 'Lots, semicolons and decimal comma'],
  ['stock', '', 'What came and went, commas'],
  ['stock', '&style=semicolon', 'What came and went, semicolons and decimal comma'],
] as const;

function ExportMenu() {
  return (
    <details className="dropdown dropdown-end">
      <summary className="btn btn-secondary">
        <Download size={20} aria-hidden="true" />
        As CSV
      </summary>
      <ul className="menu dropdown-content plate z-20 w-80 p-2">
        {EXPORTS.map(([of, style, name]) => (
          <li key={name}>
            <a className="min-h-11 items-center" href={`/api/shelf/csv?of=${of}${style}`} download>
              {name}
            </a>
          </li>
        ))}
      </ul>
    </details>
  );
}
