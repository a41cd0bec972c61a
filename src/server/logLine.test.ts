import assert from 'node:assert/strict';
import test, { mock } from 'node:test';
import { problemOf } from './endpoint';
import { isClientGone } from './logLine';

test('what nobody had thought of is one line in the log, under the number that is told', (t) => {
  const lines: string[] = [];
  t.mock.method(console, 'error', (line: string) => void lines.push(line));
  const error = new Error('two\nlines');
  const { detail, more } = problemOf(
    error,
    new Request('http://127.0.0.1/api/plans?secret=1', { method: 'POST' }),
  );
  const [line = ''] = lines;
  assert.equal(lines.length, 1);
  assert.match(
    line,
    /^[\d-]+T[\d:.]+Z problem [2-9A-Z]{5} POST \/api\/plans: Error: two lines < .*logLine\.test/,
  );
  assert.doesNotMatch(line, /\n|secret/);
  assert.ok(line.includes(String(more.number)) && detail.includes(String(more.number)));
  mock.restoreAll();
});

test('a client that went away is no problem of ours, and nothing is logged', (t) => {
  const log = t.mock.method(console, 'error', () => {});
  for (const error of [
    Object.assign(new Error('aborted'), { code: 'ECONNRESET' }),
    new DOMException('gone', 'AbortError'),
    Object.assign(new Error('early'), { code: 'ERR_STREAM_PREMATURE_CLOSE' }),
  ]) {
    assert.ok(isClientGone(error), error.message);
    assert.equal(problemOf(error).code, 'client-gone');
  }
  assert.equal(isClientGone(new Error('something else')), false);
  assert.equal(log.mock.callCount(), 0);
});
