/** A cell of the grid. */
export interface GridPlace {
  row: number;
  pourIndex: number;
}

interface Pressed {
  key: string;
  shiftKey: boolean;
  ctrlKey: boolean;
  metaKey: boolean;
  altKey: boolean;
}

/** The field that is typed into, as far as it tells where the caret is. */
type Caret = Pick<HTMLInputElement, 'value' | 'selectionStart' | 'selectionEnd'>;

/**
 * The cell that a key goes to, one row below the last for what comes after the grid; null where the key is for the field.
 * To the sides an arrow goes from the end of the text, or when all of it is marked.
 */
export function cellBeside(
  { key, shiftKey, ctrlKey, metaKey, altKey }: Pressed,
  { value, selectionStart, selectionEnd }: Caret,
  { row, pourIndex }: GridPlace,
  { rows, pours }: { rows: number; pours: number },
): GridPlace | null {
  if (ctrlKey || metaKey || altKey) return null;
  const isAll = selectionStart === 0 && selectionEnd === value.length;
  const isAt = (caret: number) => isAll || (selectionStart === caret && selectionEnd === caret);
  const step = { row: 0, pour: 0 };
  if (key === 'ArrowUp' || (key === 'Enter' && shiftKey)) step.row = -1;
  else if (key === 'ArrowDown' || key === 'Enter') step.row = 1;
  else if (key === 'ArrowLeft' && !shiftKey && isAt(0)) step.pour = -1;
  else if (key === 'ArrowRight' && !shiftKey && isAt(value.length)) step.pour = 1;
  const next = { row: row + step.row, pourIndex: pourIndex + step.pour };
  const isThere = next.row >= 0 && next.row <= rows && next.pourIndex >= 0 && next.pourIndex < pours;
  const moves = step.row !== 0 || step.pour !== 0;
  return moves && isThere ? next : null;
}

/** Rows and columns of what was copied from a sheet of figures; null for a single text. */
export function cellsPasted(text: string): string[][] | null {
  const lines = text.replace(/\r?\n$/, '').split(/\r?\n/);
  const block = lines.map((line) => line.split('\t').map((each) => each.trim().slice(0, LONGEST_DOSE)));
  return block.length > 1 || (block[0]?.length ?? 0) > 1 ? block : null;
}

export const LONGEST_DOSE = 200;

export function focusCell(grid: HTMLElement | null, { row, pourIndex }: GridPlace): void {
  const input = grid?.querySelector<HTMLInputElement>(`[data-cell="${row},${pourIndex}"]`);
  input?.focus();
  input?.select();
}

export function isCell(target: EventTarget): boolean {
  return target instanceof HTMLElement && target.dataset.cell !== undefined;
}
