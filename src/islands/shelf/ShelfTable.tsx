import {
  createColumnHelper,
  createPaginatedRowModel,
  createSortedRowModel,
  rowPaginationFeature,
  rowSortingFeature,
  sortFn_text,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { type KeyboardEvent, useMemo } from 'react';
import { isCounted } from '../../core/materials/material';
import { type Showing, showMass, showMoney, showNumber, showPercent } from '../../core/units/showQuantity';
import { showDay } from '../../words/en/showTime';
import { useShowing } from '../shared/showing';
import type { ShelfRow } from './shelfRows';

interface Props {
  rows: ShelfRow[];
  currency: string;
  openId: string | null;
  /** Beside an open form there is room for the first columns only. */
  narrow: boolean;
  onOpen(row: ShelfRow): void;
}

const features = tableFeatures({
  rowSortingFeature,
  rowPaginationFeature,
  sortedRowModel: createSortedRowModel(),
  paginatedRowModel: createPaginatedRowModel(),
  sortFns: { text: sortFn_text },
});
const helper = createColumnHelper<typeof features, ShelfRow>();
const columns = helper.columns([
  helper.accessor('name', { header: 'Material', sortFn: 'text' }),
  helper.accessor('kind', { header: 'Kind', sortFn: 'text' }),
  helper.accessor('what', { header: 'What it is', sortFn: 'text' }),
  helper.accessor('limit', { header: 'Limit', sortUndefined: 'last', sortDescFirst: false }),
  helper.accessor('left', { header: 'On the shelf', sortUndefined: 'last', sortDescFirst: false }),
  helper.accessor('bestBefore', { header: 'Best before', sortUndefined: 'last', sortDescFirst: false }),
  helper.accessor('minorPerOne', { header: 'Cost', sortUndefined: 'last', sortDescFirst: false }),
]);
const NARROW: ReadonlySet<string> = new Set(['name', 'what', 'left']);
const PAGE = 100;

/** The shelf as one table: sorted by a press on a heading, walked with the arrow keys, opened with Enter. */
export function ShelfTable({ rows, currency, openId, narrow, onOpen }: Props) {
  const data = useMemo(() => rows, [rows]);
  const table = useTable({
    features,
    columns,
    data,
    getRowId: (row) => row.stored.item.id,
    initialState: { sorting: [], pagination: { pageIndex: 0, pageSize: PAGE } },
  });
  const { pageIndex } = table.state.pagination;
  const isShown = (id: string) => !narrow || NARROW.has(id);

  return (
    <section className="plate overflow-x-auto p-3" aria-label="Materials">
      <table className="table-sm table">
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="text-base-content">
              {group.headers
                .filter(({ id }) => isShown(id))
                .map(({ id, column }) => (
                  <HeadCell
                    key={id}
                    title={String(column.columnDef.header)}
                    sorted={column.getIsSorted()}
                    onSort={column.getToggleSortingHandler()}
                  />
                ))}
            </tr>
          ))}
        </thead>
        <tbody onKeyDown={walk}>
          {table.getRowModel().rows.map(({ id, original }) => (
            <MaterialRow
              key={id}
              row={original}
              isOpen={id === openId}
              narrow={narrow}
              currency={currency}
              onOpen={onOpen}
            />
          ))}
        </tbody>
      </table>
      {rows.length > PAGE && (
        <div className="flex items-center gap-3 pt-2 text-sm">
          <button
            type="button"
            className="btn btn-secondary"
            disabled={!table.getCanPreviousPage()}
            onClick={() => table.previousPage()}
          >
            Back
          </button>
          <span>
            {pageIndex * PAGE + 1} to {Math.min(rows.length, (pageIndex + 1) * PAGE)} of {rows.length}
          </span>
          <button
            type="button"
            className="btn btn-secondary"
            disabled={!table.getCanNextPage()}
            onClick={() => table.nextPage()}
          >
            On
          </button>
        </div>
      )}
    </section>
  );
}

interface HeadProps {
  title: string;
  sorted: false | 'asc' | 'desc';
  onSort: ((event: unknown) => void) | undefined;
}

/** A heading that sorts by its column. */
function HeadCell({ title, sorted, onSort }: HeadProps) {
  return (
    <th
      scope="col"
      className="p-0"
      aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : undefined}
    >
      <button
        type="button"
        className="flex min-h-11 w-full cursor-pointer items-center gap-1 px-3 font-semibold whitespace-nowrap"
        onClick={onSort}
      >
        {title}
        {sorted === 'asc' && <ArrowUp size={14} aria-hidden="true" />}
        {sorted === 'desc' && <ArrowDown size={14} aria-hidden="true" />}
      </button>
    </th>
  );
}

interface RowProps extends Pick<Props, 'currency' | 'narrow' | 'onOpen'> {
  row: ShelfRow;
  isOpen: boolean;
}

function MaterialRow({ row, isOpen, narrow, currency, onOpen }: RowProps) {
  const showing = useShowing();
  return (
    <tr className={`relative ${isOpen ? 'live' : 'hover:bg-base-200'}`}>
      <th scope="row" className="p-0 font-normal">
        <button
          type="button"
          data-row
          className="link link-hover min-h-11 w-full px-3 text-left font-semibold after:absolute after:inset-0"
          onClick={() => onOpen(row)}
        >
          {row.name}
          {row.stored.item.archived && <span className="quiet font-normal"> · archived</span>}
        </button>
      </th>
      {!narrow && <td>{row.kind}</td>}
      <td>{row.what}</td>
      {!narrow && <td className="whitespace-nowrap">{limitText(row, showing)}</td>}
      <td className="whitespace-nowrap">
        <Left row={row} />
      </td>
      {!narrow && (
        <td className="whitespace-nowrap">
          {row.bestBefore ? (
            showDay(row.bestBefore, showing.locale)
          ) : row.left === undefined ? (
            '–'
          ) : (
            <Unknown />
          )}
        </td>
      )}
      {!narrow && <td className="whitespace-nowrap">{costText(row, showing, currency)}</td>}
    </tr>
  );
}

/** Arrow keys move from row to row. */
function walk(event: KeyboardEvent<HTMLElement>) {
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (step === 0) return;
  const rows = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-row]')];
  const next = rows[rows.indexOf(document.activeElement as HTMLElement) + step];
  if (!next) return;
  event.preventDefault();
  next.focus();
}

function Unknown() {
  return <span className="quiet italic">not known</span>;
}

function limitText({ stored: { item }, limit }: ShelfRow, { locale }: Showing) {
  if (item.kind === 'blend') return <span className="quiet">of its parts</span>;
  if (isCounted(item.kind)) return '–';
  if (limit === undefined) return <Unknown />;
  return `${showPercent(limit, locale)} of ${item.kind === 'base' ? 'base' : 'product'}`;
}

function Left({ row }: { row: ShelfRow }) {
  const showing = useShowing();
  const { left, held, isLow, stored } = row;
  if (left === undefined) return <span className="quiet italic">no lot yet</span>;
  const amountOf = (amount: number) =>
    isCounted(stored.item.kind)
      ? `${showNumber(amount, 0, showing.locale)} pieces`
      : showMass(amount, showing);
  return (
    <>
      {isLow ? <strong className="text-warning">{amountOf(left)}, low</strong> : amountOf(left)}
      {held > 0 && <span className="quiet block text-xs">{amountOf(held)} of it put aside</span>}
    </>
  );
}

/** Cost of 100 g, or of a piece. */
function costText({ minorPerOne, left, stored }: ShelfRow, showing: Showing, currency: string) {
  if (left === undefined) return '–';
  if (minorPerOne === undefined) return <Unknown />;
  return isCounted(stored.item.kind)
    ? `${showMoney(minorPerOne, currency, showing.locale)} a piece`
    : `${showMoney(minorPerOne * 100, currency, showing.locale)} / 100 g`;
}
