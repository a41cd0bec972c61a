import { fail, ok, type Result } from '../result';
import { parseAmount } from './parseAmount';
import { figureOf, type Quantity, type SingleQuantity } from './quantity';
import type { QuantityFault } from './quantityFault';
import { spokenNumber } from './spokenNumber';

type Read = Result<Quantity, QuantityFault>;
type ReadSingle = (typed: string) => Result<SingleQuantity, QuantityFault>;

/** Without any of these it is no range. */
const MAY_RANGE = /[-–—…]|\b(?:to|or|and)\b/i;
const TO = /^(?:[-–—]|…|(?:to|or)\b)\s*/i;

/** “2 g to 3 g” is a range, “2 g to 100 g” a rate; between the two nobody can tell. */
const SURELY_RANGE = 2;
const SURELY_RATE = 5;

/** Reads `6–9 drops`, `¼ to ½ tsp per lb`, `5 g or 6 g`, `between 6 and 9 drops`. Undefined for everything else. */
export function parseRange(text: string, single: ReadSingle): Read | undefined {
  if (!MAY_RANGE.test(text)) return undefined;
  const typed = text.replace(/^(?:between|from) (.+?) (?:and|to) /i, '$1 to ');
  const first = spokenNumber(typed);
  if (!first.success) return undefined;
  const behind = first.data.rest.trim();
  const bare = TO.exec(behind);
  if (bare) {
    const mostText = behind.slice(bare[0].length);
    const second = spokenNumber(mostText);
    if (!second.success) return fail({ code: 'range', found: text });
    const figure = typed.slice(0, typed.length - first.data.rest.length).trim();
    return range(single(`${figure} ${second.data.rest.trim()}`), single(mostText), text);
  }
  const amount = parseAmount(typed);
  const to = amount.success && TO.exec(amount.data.rest);
  if (!amount.success || !to) return undefined;
  const leastText = typed.slice(0, typed.length - amount.data.rest.length).trim();
  const mostText = amount.data.rest.slice(to[0].length);
  const [least, most] = [single(leastText), single(mostText)];
  if (!least.success || !most.success || least.data.kind !== most.data.kind) return undefined;
  if (/^to/i.test(to[0]) && least.data.kind === 'mass' && most.data.kind === 'mass') {
    const times = most.data.massG / least.data.massG;
    if (!(times <= SURELY_RATE)) return undefined;
    if (times > SURELY_RANGE)
      return fail({
        code: 'two-meanings',
        found: text,
        readings: [`${leastText} – ${mostText}`, `${leastText} per ${mostText}`],
      });
  }
  return range(least, most, text);
}

function range(least: ReturnType<ReadSingle>, most: ReturnType<ReadSingle>, typed: string): Read {
  if (!most.success) return most;
  if (!least.success) return least;
  if (least.data.kind !== most.data.kind || most.data.kind === 'times')
    return fail({ code: 'range', found: typed });
  if (figureOf(least.data) >= figureOf(most.data)) return fail({ code: 'range', found: typed });
  return ok({ kind: 'range', least: least.data, most: most.data });
}
