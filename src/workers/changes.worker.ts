import { followChanges } from '../islands/shared/changes';
import type { Heard } from './changesProtocol';

/** One connection to the server for all pages of a browser. */
const ports = new Set<MessagePort>();
let last: 'there' | 'away' | null = null;
let stop: (() => void) | null = null;

function tell(told: Heard) {
  if (told === 'there' || told === 'away') last = told;
  for (const port of ports) port.postMessage(told);
}

addEventListener('connect', (event) => {
  const [port] = (event as MessageEvent).ports;
  if (!port) return;
  ports.add(port);
  port.onmessage = () => {
    ports.delete(port);
    if (ports.size > 0) return;
    stop?.();
    stop = null;
    last = null;
  };
  stop ??= followChanges(tell);
  if (last) port.postMessage(last);
});
