const MARK = 'usual-';

/** The id of a record that comes with the application and not from a user. */
export function usualId(name: string): string {
  return `${MARK}${name}`;
}

/** True while nobody has put figures of their own in the place of the usual ones. */
export function isUsual({ item, revision }: { item: { id: string }; revision: number }): boolean {
  return item.id.startsWith(MARK) && revision === 1;
}
