import { Problem } from './problem';

/** The plan version that an address asks for with `?version=`; undefined when it asks for none. */
export function askedVersion(url: URL): number | undefined {
  const asked = url.searchParams.get('version');
  if (asked === null) return undefined;
  if (!/^[1-9]\d{0,8}$/.test(asked)) {
    throw new Problem(422, 'invalid-field', 'version must be a whole number from 1.', {
      errors: [{ path: 'version', reason: 'must be a whole number from 1' }],
    });
  }
  return Number(asked);
}
