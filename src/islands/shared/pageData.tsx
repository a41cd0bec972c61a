import { type ComponentType, useState } from 'react';
import type { StockByMaterial } from '../../core/stock/fromShelf';
import type { LotStock } from '../../core/stock/stock';

/**
 * Records that the page brings along as JSON, before the island that reads them.
 *
 * @throws Error where it brings none of that name
 */
export function pageData<Records extends object>(of: string): Records {
  const text = document.querySelector(`script[data-of="${of}"]`)?.textContent;
  if (!text) throw new Error(`the page brings no ${of}`);
  return JSON.parse(text) as Records;
}

/** What is left of the shelf's lots, by material, where the page brings it along. */
export function stockOfPage(): StockByMaterial {
  return new Map(pageData<[string, LotStock[]][]>('stock'));
}

/** An island that starts with the records of a name that its page brings along. */
export function withStart<Props extends { start: object }>(of: string, Island: ComponentType<Props>) {
  return function Started(props: Omit<Props, 'start'>) {
    const [start] = useState(() => pageData<Props['start']>(of));
    return <Island {...({ ...props, start } as Props)} />;
  };
}
