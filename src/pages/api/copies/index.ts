import { basename } from 'node:path';
import { copiesOf, copyState } from '../../../server/copies';
import { endpoint } from '../../../server/endpoint';
import { workshop } from '../../../server/workshop';

export const GET = endpoint(() => {
  const open = workshop();
  const copies = copiesOf(open).map(({ path, ...copy }) => ({ name: basename(path), ...copy }));
  return { body: { copies, state: copyState(open) } };
});
