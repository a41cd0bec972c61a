interface Named {
  name: string;
}

/** What a typed name may mean among what is there. */
export type NameMatch<Item> =
  /** One is called just so. */
  | { kind: 'called'; item: Item }
  /** Some are called so, or have the words in their names: which is meant has to be asked, of one alone too. */
  | { kind: 'among'; items: Item[] }
  | { kind: 'none' };

/** Names are compared without capitals, accents and doubled spaces. */
export function foldedName(name: string): string {
  return name.normalize('NFKD').replace(/\p{M}/gu, '').toLocaleLowerCase('und').replace(/\s+/g, ' ').trim();
}

/** What is called as was typed; or what has every typed word in its name. */
export function byName<Item extends Named>(items: readonly Item[], typed: string): NameMatch<Item> {
  const wanted = foldedName(typed);
  if (wanted === '') return { kind: 'none' };
  const called = items.filter(({ name }) => foldedName(name) === wanted);
  const words = wanted.split(' ');
  const found =
    called.length > 0
      ? called
      : items.filter(({ name }) => words.every((word) => foldedName(name).includes(word)));
  const [first] = called;
  if (first !== undefined && called.length === 1) return { kind: 'called', item: first };
  return found.length === 0 ? { kind: 'none' } : { kind: 'among', items: found };
}
