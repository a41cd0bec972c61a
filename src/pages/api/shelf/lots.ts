import { endpoint } from '../../../server/endpoint';
import { workshop } from '../../../server/workshop';

/** The labels of all lots, of every material. */
export const GET = endpoint(() => ({ body: workshop().lots.ofShelf() }));
