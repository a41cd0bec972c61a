import { inciKey } from '../materials/inciName';
import { mostOfPack, ONE_PERCENT, type PackOrder } from '../materials/packOrder';

/** Something that went in, with what its pack says is in it. */
export interface Pack {
  name: string;
  massG: number;
  /** In the order of the pack; null where nobody has typed it. */
  inci: readonly string[] | null;
  /** Shares that are known of it, by the name on its list; fractions. */
  known?: ReadonlyMap<string, number>;
  /** Its ingredients may come last. */
  isColorant?: boolean;
  /** It is named beside a pack that it is in, and its mass counts there. */
  isWithin?: boolean;
  /** A scent of which nobody has told the allergens. */
  allergensUnknown?: boolean;
}

/** An ingredient of the whole, with what can be said of how much of it there is. */
export interface Ingredient {
  name: string;
  /** Fractions of the whole. */
  least: number;
  most: number;
  /** It stands for a pack without a list. */
  isUnlisted: boolean;
  isColorant: boolean;
  /** It might have to stand after the one that follows it here. */
  maySwap: boolean;
  /** Not above 1 % for certain: it may stand in any order among such. */
  isBelowLine: boolean;
}

export interface Ingredients {
  /** The most first; those that may come last at the end. */
  list: Ingredient[];
  /** Packs without a list. */
  unlisted: string[];
  /** Packs whose list contradicts what is known of them. */
  contradicted: string[];
  /** Scents of which nobody has told the allergens. */
  allergensUnknown: string[];
}

interface Read extends PackOrder {
  massG: number;
  /** Places of each ingredient on the list. */
  places: Map<string, number[]>;
}

/** Rounding in the last digits makes no order uncertain. */
const CLOSE = 1e-9;

/**
 * The lists of everything that went in, merged to one by the names of their ingredients: bounds of each by its packs' orders,
 * and which neighbours could change places.
 */
export function ingredientsOf(packs: readonly Pack[]): Ingredients {
  const wholeG = packs.reduce((sum, { massG, isWithin }) => (isWithin ? sum : sum + massG), 0);
  if (!(wholeG > 0)) return { list: [], unlisted: [], contradicted: [], allergensUnknown: [] };
  const names = new Map<string, { name: string; isColorant: boolean; isUnlisted: boolean }>();
  const unlisted = packs.filter(({ inci }) => inci === null || inci.length === 0);
  const read = packs.map((pack) => readPack(pack, names));
  const isRead = (pack: Read) => mostOfPack(pack, new Map()) !== null;
  const contradicted = packs.filter((_, place) => !isRead(read[place] as Read)).map(({ name }) => name);
  const told = read.map((pack) => (isRead(pack) ? pack : { ...pack, known: new Map<number, number>() }));
  const mosts = (signs: ReadonlyMap<string, number>) =>
    told.map((pack) => {
      const weights = new Map<number, number>();
      for (const [key, sign] of signs)
        for (const place of pack.places.get(key) ?? []) weights.set(place, (weights.get(place) ?? 0) + sign);
      return weights.size === 0
        ? { pack, weights, most: 0 }
        : { pack, weights, most: (pack.massG / wholeG) * (mostOfPack(pack, weights) ?? 0) };
    });
  const most = (signs: ReadonlyMap<string, number>) => mosts(signs).reduce((sum, each) => sum + each.most, 0);
  /** Below every line it is not above 1 %, and may stand anywhere among such: that it may be more counts only above one. */
  const mayBeMore = (key: string, than: string) => {
    const parts = mosts(
      new Map([
        [key, 1],
        [than, -1],
      ]),
    );
    const all = parts.reduce((sum, each) => sum + each.most, 0);
    return parts.some((part) => {
      const place = Math.min(...(part.pack.places.get(key) ?? []));
      if (!Number.isFinite(place)) return false;
      const above = mostOfPack(part.pack, part.weights, place + 1);
      return above !== null && all - part.most + (part.pack.massG / wholeG) * above > CLOSE;
    });
  };
  const all = [...names].map(([key, of]) => {
    const upper = most(new Map([[key, 1]]));
    return {
      key,
      ...of,
      ...{ least: Math.max(0, -most(new Map([[key, -1]]))), most: upper },
      isBelowLine: upper <= ONE_PERCENT + CLOSE,
    };
  });
  const middle = (each: { least: number; most: number }) => each.least + each.most;
  const sorted = all.sort(
    (a, b) =>
      Number(a.isColorant) - Number(b.isColorant) || middle(b) - middle(a) || a.name.localeCompare(b.name),
  );
  return {
    unlisted: unlisted.map(({ name }) => name),
    contradicted,
    allergensUnknown: packs.filter((pack) => pack.allergensUnknown).map(({ name }) => name),
    list: sorted.map(({ key, ...each }, place) => {
      const next = sorted[place + 1];
      const isFree = next === undefined || next.isColorant !== each.isColorant;
      return { ...each, maySwap: !isFree && mayBeMore(next.key, key) };
    }),
  };
}

/** Of two ways to write a name the one that came first, unless it shouts and the other does not. */
function better(before: string | undefined, name: string): string {
  const shouts = (text: string) => text === text.toUpperCase();
  return before === undefined || (shouts(before) && !shouts(name)) ? name : before;
}

function readPack(
  { name, massG, inci, known, isColorant = false }: Pack,
  names: Map<string, { name: string; isColorant: boolean; isUnlisted: boolean }>,
): Read {
  const isUnlisted = inci === null || inci.length === 0;
  const list = isUnlisted ? [name] : inci;
  const places = new Map<string, number[]>();
  const shares = new Map<number, number>();
  const byKey = new Map([...(known ?? [])].map(([of, share]) => [inciKey(of), share]));
  list.forEach((each, place) => {
    const key = isUnlisted ? `pack ${name}` : inciKey(each);
    const before = names.get(key);
    // What is a colorant in one pack and none in another stands by its weight.
    names.set(key, {
      name: better(before?.name, each.trim()),
      isColorant: isColorant && (before?.isColorant ?? true),
      isUnlisted,
    });
    places.set(key, [...(places.get(key) ?? []), place]);
    const share = byKey.get(key);
    if (share !== undefined && places.get(key)?.length === 1) shares.set(place, share);
  });
  return { count: list.length, known: shares, massG, places };
}
