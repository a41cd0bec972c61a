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
  return namesOf(items)(typed);
}

/** {@link byName} for many names: those of the items are folded once. */
export function namesOf<Item extends Named>(items: readonly Item[]): (typed: string) => NameMatch<Item> {
  const folded = items.map((item) => ({ item, name: foldedName(item.name) }));
  return (typed) => {
    const wanted = foldedName(typed);
    if (wanted === '') return { kind: 'none' };
    const called = folded.filter(({ name }) => name === wanted);
    const words = wanted.split(' ');
    const found =
      called.length > 0 ? called : folded.filter(({ name }) => words.every((word) => name.includes(word)));
    const [first] = called;
    if (first !== undefined && called.length === 1) return { kind: 'called', item: first.item };
    return found.length === 0 ? { kind: 'none' } : { kind: 'among', items: found.map(({ item }) => item) };
  };
}
