interface Named {
  name: string;
}

/** What a typed name may mean among what is there. */
export type NameMatch<Item> =
  | { kind: 'one'; item: Item }
  /** Each has the words in its name; none is called just so. */
  | { kind: 'several'; items: Item[] }
  | { kind: 'none' };

/** Names are compared without capitals, accents and doubled spaces. */
export function foldedName(name: string): string {
  return name.normalize('NFKD').replace(/\p{M}/gu, '').toLocaleLowerCase('en').replace(/\s+/g, ' ').trim();
}

/** What is called as was typed; or what alone has every typed word in its name. */
export function byName<Item extends Named>(items: readonly Item[], typed: string): NameMatch<Item> {
  const wanted = foldedName(typed);
  if (wanted === '') return { kind: 'none' };
  const called = items.filter(({ name }) => foldedName(name) === wanted);
  const words = wanted.split(' ');
  const found =
    called.length > 0
      ? called
      : items.filter(({ name }) => words.every((word) => foldedName(name).includes(word)));
  const [first, ...others] = found;
  if (first === undefined) return { kind: 'none' };
  return others.length === 0 ? { kind: 'one', item: first } : { kind: 'several', items: found };
}
