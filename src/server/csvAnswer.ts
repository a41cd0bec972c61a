import type { CsvStyle } from '../formats/csv';

/** `?style=semicolon`: for spreadsheets with a decimal comma. */
export function csvStyle(url: URL): CsvStyle {
  return url.searchParams.get('style') === 'semicolon'
    ? { delimiter: ';', decimal: ',' }
    : { delimiter: ',', decimal: '.' };
}

export function csvHeaders(name: string): Record<string, string> {
  return {
    'content-type': 'text/csv; charset=utf-8; header=present',
    'content-disposition': `attachment; filename="${name}.csv"`,
    'cache-control': 'no-store',
  };
}
