import type { APIContext } from 'astro';
import { z } from '../core/zod';
import type { Stored } from '../db/records';
import { endpoint } from './endpoint';
import { invalidField, notFound, Problem } from './problem';
import { readJson } from './readJson';
import { checked, type RecordKind } from './recordKinds';
import { saveRecord } from './records';
import { workshop } from './workshop';

/**
 * The endpoints of a kind of record, for a route `[...id]`: `GET` and `POST` of the list without an id; `GET`, `PUT`
 * against the revision it was read at, and `DELETE` of one.
 */
export function recordEndpoints<Item extends { id: string; name: string }>(kind: RecordKind<Item>) {
  const { what, table, schema, newSchema, check, allow = () => {}, follow = () => {} } = kind;
  const saveSchema = z.strictObject({ item: schema, revision: z.int().positive() });
  const found = (id: string): Stored<Item> => {
    const stored = table(workshop()).find(id);
    if (!stored) throw notFound(what, id);
    return stored;
  };
  return {
    GET: endpoint((context) => {
      const { id } = context.params;
      return { body: id === undefined ? table(workshop()).all() : found(id) };
    }),
    POST: endpoint(async (context) => {
      if (context.params.id !== undefined) throw nothingAnswers(context);
      const open = workshop();
      const item = { ...(await readJson(context.request, newSchema)), id: open.newId() } as Item;
      checked(open, check, () => table(open).insert(item, open.now()));
      return { status: 201, body: { item, revision: 1 } };
    }),
    PUT: endpoint(async (context) => {
      const { id } = context.params;
      if (id === undefined) throw nothingAnswers(context);
      const open = workshop();
      const { item, revision } = await readJson(context.request, saveSchema);
      if (item.id !== id) throw invalidField('item.id', 'is not the id in the address');
      const save = () => {
        const saved = saveRecord(table(open), what, item, revision, open.now(), (before, after) =>
          allow(open, before, after),
        );
        follow(open, item);
        return saved;
      };
      return { body: checked(open, check, save) };
    }),
    DELETE: endpoint((context) => {
      const { id } = context.params;
      if (id === undefined || !kind.remove) throw nothingAnswers(context);
      kind.remove(workshop(), id);
      return { body: { deleted: true } };
    }),
  };
}

function nothingAnswers({ request, url }: APIContext): Problem {
  return new Problem(
    404,
    'no-such-endpoint',
    `Nothing answers ${request.method} ${url.pathname.slice(0, 100)}.`,
  );
}
