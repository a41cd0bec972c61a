import type { z } from '../core/zod';
import type { RecordTable } from '../db/records';
import { endpoint, param } from './endpoint';
import { invalidField, notFound } from './problem';
import { readJson } from './readJson';
import { saveRecord } from './records';
import { type Workshop, workshop } from './workshop';

interface NamedItem {
  id: string;
  name: string;
}

type TableOf<Item extends NamedItem> = (workshop: Workshop) => RecordTable<Item>;

/** `GET` and `POST` of a list of records: the shelf, the mold book. `check` looks at all of them after a write. */
export function listEndpoints<Item extends NamedItem>(
  table: TableOf<Item>,
  newSchema: z.ZodType<Omit<Item, 'id'>>,
  check: (workshop: Workshop) => void = () => {},
) {
  return {
    GET: endpoint(() => ({ body: table(workshop()).all() })),
    POST: endpoint(async ({ request }) => {
      const open = workshop();
      const item = { ...(await readJson(request, newSchema)), id: open.newId() } as Item;
      checked(open, check, () => table(open).insert(item, open.now()));
      return { status: 201, body: { item, revision: 1 } };
    }),
  };
}

/** `GET` and `PUT` of one record, saved against the revision it was read at. */
export function itemEndpoints<Item extends NamedItem>(
  what: string,
  table: TableOf<Item>,
  saveSchema: z.ZodType<{ item: Item; revision: number }>,
  check: (workshop: Workshop) => void = () => {},
) {
  return {
    GET: endpoint((context) => {
      const id = param(context, 'id');
      const stored = table(workshop()).find(id);
      if (!stored) throw notFound(what, id);
      return { body: stored };
    }),
    PUT: endpoint(async (context) => {
      const open = workshop();
      const { item, revision } = await readJson(context.request, saveSchema);
      if (item.id !== param(context, 'id')) throw invalidField('item.id', 'is not the id in the address');
      const save = () => saveRecord(table(open), what, item, revision, open.now());
      return { body: checked(open, check, save) };
    }),
  };
}

/** `DELETE` of one record that nothing else rests on. */
export function removeEndpoint<Item extends NamedItem>(what: string, table: TableOf<Item>) {
  return endpoint((context) => {
    const id = param(context, 'id');
    if (!table(workshop()).remove(id)) throw notFound(what, id);
    return { body: { deleted: true } };
  });
}

/** Writes, and takes it back when the records do not fit together any more. */
function checked<Saved>(open: Workshop, check: (workshop: Workshop) => void, write: () => Saved): Saved {
  const work = open.db.transaction(() => {
    const saved = write();
    check(open);
    return saved;
  });
  return work.immediate();
}
