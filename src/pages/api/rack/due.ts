import { endpoint } from '../../../server/endpoint';
import { rackCalls } from '../../../server/rack';
import { workshop } from '../../../server/workshop';
import { callWords } from '../../../words/en/rack/rackWords';

/** What calls to the rack, as it is called out, for whatever screen is open. */
export const GET = endpoint(async () => {
  const { nowMs, calls } = await rackCalls(workshop());
  return { body: { nowMs, calls: calls.map((call) => ({ ...call, words: callWords(call) })) } };
});
