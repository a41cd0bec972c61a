import { renderSVG } from 'uqr';
import { endpoint } from '../../../server/endpoint';
import { invite } from '../../../server/sharing';
import { workshop } from '../../../server/workshop';

/** A link that lets one device in, once, and the same as a code to be scanned. */
export const POST = endpoint(() => {
  const { url, until } = invite(workshop());
  return { status: 201, body: { url, until, svg: renderSVG(url) } };
});
