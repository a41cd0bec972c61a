import { LRUCache } from 'lru-cache';

/** What nobody has asked for in so long is forgotten, so that a server that runs for weeks holds what is worked with. */
const KEPT_MS = 5 * 60_000;
const LOOKED_THROUGH_EVERY_MS = 60_000;

interface Within<Key, Value> {
  maxSize: number;
  sizeCalculation(value: Value, key: Key): number;
}

/** A cache of the last asked for, within a size, that also forgets with time. For what is soon worked out again. */
export class KeptAWhile<Key extends object | string, Value extends object> extends LRUCache<Key, Value> {
  #lookedThroughAt = performance.now();

  constructor(within: Within<Key, Value>) {
    // The clock is asked each time: what is kept of it for a while is forgotten by a timer, and threads come to none.
    super({ ...within, ttl: KEPT_MS, updateAgeOnGet: true, ttlResolution: 0 });
  }

  override set(...of: Parameters<LRUCache<Key, Value>['set']>): this {
    if (performance.now() - this.#lookedThroughAt >= LOOKED_THROUGH_EVERY_MS) {
      this.#lookedThroughAt = performance.now();
      this.purgeStale();
    }
    return super.set(...of);
  }
}
