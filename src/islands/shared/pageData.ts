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
