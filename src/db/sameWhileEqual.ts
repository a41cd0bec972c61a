import { isDeepStrictEqual } from 'node:util';

/** What was read last, as long as what is read now equals it: what goes by it can tell at a glance that nothing changed. */
export function sameWhileEqual<Value>(read: () => Value): () => Value {
  let last: Value | undefined;
  return () => {
    const now = read();
    if (last === undefined || !isDeepStrictEqual(now, last)) last = now;
    return last;
  };
}
