/** A list as lists of so many each, the last of what is left. */
export function inSlices<Item>(all: readonly Item[], atOnce: number): Item[][] {
  return Array.from({ length: Math.ceil(all.length / atOnce) }, (_, place) =>
    all.slice(place * atOnce, (place + 1) * atOnce),
  );
}
