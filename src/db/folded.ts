/** A text as it is searched: letters of any language without regard to their case. SQLite's own lower() knows those of English. */
export const folded = (text: string): string => text.toLocaleLowerCase('und');
