const RULES = new Intl.PluralRules('en');

/** A count with its noun: “1 cavity”, “3 cavities”. */
export function counted(count: number, one: string, more: string): string {
  return `${count} ${plural(count, one, more)}`;
}

const LIST = new Intl.ListFormat('en');

/** Names in a sentence: “A, B, and C”. */
export function listed(names: readonly string[]): string {
  return LIST.format(names);
}

/** The noun alone, as its count asks for. */
export function plural(count: number, one: string, more: string): string {
  return RULES.select(count) === 'one' ? one : more;
}
