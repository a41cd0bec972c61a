import { endpoint } from '../../../server/endpoint';
import { takeStarterShelf } from '../../../server/starterShelf';
import { workshop } from '../../../server/workshop';

export const POST = endpoint(() => ({ status: 200, body: { added: takeStarterShelf(workshop()) } }));
