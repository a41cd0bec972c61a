import { v4 } from 'uuid';

/** An id that nothing else has (RFC 9562, version 4), also where the page came over plain HTTP from another machine. */
export const newId = (): string => v4();
