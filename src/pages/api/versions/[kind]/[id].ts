import { z } from '../../../../core/zod';
import { endpoint, param } from '../../../../server/endpoint';
import { notFound } from '../../../../server/problem';
import { readJson } from '../../../../server/readJson';
import { takeBack, VERSIONED_KINDS, versionsOf } from '../../../../server/recordVersions';
import { workshop } from '../../../../server/workshop';

const kindSchema = z.enum(VERSIONED_KINDS);
const takeBackSchema = z.strictObject({
  /** What it shall be again. */
  revision: z.int().nonnegative(),
  /** What it was seen at; null for what was seen as gone. */
  from: z.int().nonnegative().nullable(),
});

function kindOf(name: string) {
  const kind = kindSchema.safeParse(name);
  if (!kind.success) throw notFound('kind of record', name);
  return kind.data;
}

/** What a record is and was. */
export const GET = endpoint((context) => ({
  body: versionsOf(workshop(), kindOf(param(context, 'kind')), param(context, 'id')),
}));

/** Makes a record again what it was. */
export const POST = endpoint(async (context) => {
  const kind = kindOf(param(context, 'kind'));
  const { revision, from } = await readJson(context.request, takeBackSchema);
  return { body: takeBack(workshop(), kind, param(context, 'id'), revision, from) };
});
