/** What may be ordered. */
export interface Orderable {
  id: string;
  name: string;
  isCounted: boolean;
}
