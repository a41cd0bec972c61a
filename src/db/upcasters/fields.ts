/** A JSON object whose inside is not known. */
export type Json = Record<string, unknown>;

export function isObject(value: unknown): value is Json {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** With what is missing; what is there stays. */
export function withDefaults(record: unknown, defaults: Json): unknown {
  return isObject(record) ? { ...defaults, ...record } : record;
}

/** With one field changed, where it is there. */
export function withField(record: unknown, key: string, change: (value: unknown) => unknown): unknown {
  return isObject(record) && key in record ? { ...record, [key]: change(record[key]) } : record;
}

/** Without some fields. */
export function without(record: unknown, keys: readonly string[]): unknown {
  return isObject(record)
    ? Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key)))
    : record;
}

export function each(list: unknown, change: (value: unknown, place: number) => unknown): unknown {
  return Array.isArray(list) ? list.map((value, place) => change(value, place)) : list;
}
