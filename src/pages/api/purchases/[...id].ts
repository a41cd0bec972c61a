import { recordEndpoints } from '../../../server/recordEndpoints';
import { RECORD_KINDS } from '../../../server/recordKinds';

export const { GET, POST, PUT, DELETE } = recordEndpoints(RECORD_KINDS.purchase);
