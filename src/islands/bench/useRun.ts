import { useEffect, useRef, useState } from 'react';
import type { EventSource, Run, RunEvent } from '../../core/run/run';
import { explainRunFault } from '../../words/en/run/runFaults';
import { type ApiProblem, callApi } from '../shared/api';
import { listenToChanges } from '../shared/changes';
import { newId } from '../shared/newId';
import { useBenchWorld } from './benchWorld';
import { keepPage } from './keepPage';
import { memoryStore, outboxStore } from './outboxStore';
import { type Delivery, deliveredHere, runDelivery } from './runDelivery';

/** So long an answer is waited for: hands wait as long at the first that does not come. */
const ANSWER_WITHIN_MS = 5000;
const AGAIN_AFTER_MS = 2000;
/** A second press of the same kind within it is of the same hand movement. */
const ONE_PRESS_MS = 300;

/**
 * A run and the way to add to it. An event is kept in this browser first, counts at once, and is brought to the server by
 * itself, also after a reload; what other screens add is followed.
 */
export function useRun(start: Run) {
  const { now, rehearsal } = useBenchWorld();
  const isMade = rehearsal === null;
  const [delivery, setDelivery] = useState<Delivery>({ run: start, waiting: 0, away: null, refused: null });
  const [fault, setFault] = useState<ApiProblem | null>(null);
  const [sending, setSending] = useState(false);
  const justPressed = useRef<RunEvent | null>(null);
  const pressed = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [queue] = useState(() => {
    const address = `/api/runs/${encodeURIComponent(start.id)}`;
    const options = () => ({ signal: AbortSignal.timeout(ANSWER_WITHIN_MS) });
    const atBench = { newId, now: () => new Date(now()).toISOString(), onChange: setDelivery };
    if (!isMade) return runDelivery(start, { ...atBench, ...deliveredHere(start), store: memoryStore() });
    return runDelivery(start, {
      ...atBench,
      store: outboxStore(),
      send: ({ id, event, occurredAt, source }) =>
        callApi<Run>('POST', `${address}/events`, { eventId: id, event, occurredAt, source }, options()),
      load: () => callApi<Run>('GET', address, undefined, options()),
    });
  });

  useEffect(() => {
    void queue.begin();
    if (!isMade) return;
    void keepPage();
    const stop = listenToChanges({
      onChange: ({ run, events }) => {
        if (run === start.id) void queue.refresh(events);
      },
      onThere: () => void queue.refresh(),
      onAway: () => void queue.refresh(),
    });
    return stop;
  }, [queue, start.id, isMade]);

  const { waiting, away } = delivery;
  useEffect(() => {
    if (!away) return;
    const timer = setInterval(() => void (waiting > 0 ? queue.deliver() : queue.refresh()), AGAIN_AFTER_MS);
    return () => clearInterval(timer);
  }, [queue, away, waiting]);

  async function record(event: RunEvent, source?: EventSource): Promise<boolean> {
    if (justPressed.current && isSamePress(justPressed.current, event)) return false;
    justPressed.current = event;
    setSending(true);
    clearTimeout(pressed.current);
    pressed.current = setTimeout(() => {
      justPressed.current = null;
      setSending(false);
    }, ONE_PRESS_MS);
    const checked = await queue.record(event, source);
    setFault(
      checked.success
        ? null
        : { status: 409, code: checked.error.code, detail: explainRunFault(checked.error) },
    );
    return checked.success;
  }

  return { run: delivery.run, waiting, away, problem: fault ?? delivery.refused, sending, record };
}

/** Other kinds have buttons of their own; what is weighed or measured next was typed since, and is of another task. */
function isSamePress(last: RunEvent, event: RunEvent): boolean {
  if (event.kind !== 'weighed' && event.kind !== 'measured') return event.kind === last.kind;
  return event.kind === last.kind && event.taskId === last.taskId;
}
