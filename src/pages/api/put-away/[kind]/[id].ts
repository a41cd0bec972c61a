import { z } from '../../../../core/zod';
import { endpoint, param } from '../../../../server/endpoint';
import { notFound } from '../../../../server/problem';
import { PUT_AWAY_KINDS, setStanding } from '../../../../server/putAway';
import { readJson } from '../../../../server/readJson';
import { workshop } from '../../../../server/workshop';

const kindSchema = z.enum(PUT_AWAY_KINDS);
const standingSchema = z.strictObject({ state: z.enum(['shown', 'archived', 'deleted']) });

/** Puts a record out of its lists, or back. */
export const PUT = endpoint(async (context) => {
  const kind = kindSchema.safeParse(context.params.kind);
  if (!kind.success) throw notFound('kind of record', param(context, 'kind'));
  const { state } = await readJson(context.request, standingSchema);
  const id = param(context, 'id');
  setStanding(workshop(), kind.data, id, state);
  return { body: { kind: kind.data, id, state } };
});
