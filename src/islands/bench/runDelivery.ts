import { checkEvent } from '../../core/run/checkEvent';
import { progress, withEvent } from '../../core/run/progress';
import type { EventSource, Run, RunEvent } from '../../core/run/run';
import type { ApiAnswer, ApiProblem } from '../shared/api';
import type { KeptEvent, OutboxStore } from './outboxStore';

/** How a run stands here, and how it stands with the server. */
export interface Delivery {
  /** What the server has, with what is on its way. */
  run: Run;
  /** How many events are kept here and are not with the server yet. */
  waiting: number;
  /** Why nothing gets there; null while it does. */
  away: ApiProblem | null;
  /** Why the last event that the server would not have was left out; null where none was. */
  refused: ApiProblem | null;
}

interface Options {
  store: OutboxStore;
  newId(): string;
  now(): string;
  /** Sends an event under its id; what it is answered is the run. */
  send(kept: KeptEvent): Promise<ApiAnswer<Run>>;
  /** How the run stands at the server. */
  load(): Promise<ApiAnswer<Run>>;
  onChange(delivery: Delivery): void;
}

/** Sent again after what was not the event's fault. */
const isAway = ({ status }: ApiProblem) => status === 0 || status >= 500;

/** A run whose events are kept here first, counted at once, and brought to the server in order, each once. */
export interface RunDelivery {
  state(): Delivery;
  /** Takes up what was kept before the page was loaded. */
  begin(): Promise<void>;
  /** Keeps an event where it can follow, and begins to send it. */
  record(event: RunEvent, source?: EventSource): Promise<ReturnType<typeof checkEvent>>;
  /** Sends what waits, in order, until nothing does or nothing gets there. */
  deliver(): Promise<void>;
  /** Looks how the run stands at the server, where it is not said to have as many events as are known here. */
  refresh(events?: number): Promise<void>;
}

export function runDelivery(start: Run, options: Options): RunDelivery {
  const { store, newId, now, send, load, onChange } = options;
  let server = start;
  let waiting: KeptEvent[] = [];
  let away: ApiProblem | null = null;
  let refused: ApiProblem | null = null;
  let delivering: Promise<void> | null = null;
  let turn = Promise.resolve();
  let recording: Promise<unknown> = Promise.resolve();

  const state = (): Delivery => ({
    run: waiting.reduce(withKept, server),
    waiting: waiting.length,
    away,
    refused,
  });
  const tell = () => onChange(state());
  /** What is asked of the server is asked one after the other, so that an answer of before never comes after one of now. */
  function inTurn(work: () => Promise<void>): Promise<void> {
    turn = turn.then(work);
    return turn;
  }

  async function know(run: Run): Promise<void> {
    server = run;
    await (progress(run).ended ? store.forgetRun(run.id) : store.keepRun(run));
  }

  async function deliverAll(): Promise<void> {
    for (;;) {
      waiting = await store.of(start.id);
      const [next] = waiting;
      if (!next) break;
      const answer = await send(next);
      if (!answer.success && isAway(answer.error)) {
        away = answer.error;
        tell();
        return;
      }
      away = null;
      if (answer.success) await know(answer.data);
      else {
        refused = answer.error;
        if (answer.error.run) await know(answer.error.run as Run);
      }
      await store.remove(next.place);
      waiting = await store.of(start.id);
      tell();
    }
    tell();
  }

  function deliver(): Promise<void> {
    delivering ??= inTurn(deliverAll).finally(() => {
      delivering = null;
    });
    return delivering;
  }

  async function keep(event: RunEvent, source?: EventSource): Promise<ReturnType<typeof checkEvent>> {
    const checked = checkEvent(state().run, event);
    if (!checked.success) return checked;
    refused = null;
    await store.add({
      id: newId(),
      runId: start.id,
      event,
      occurredAt: now(),
      ...(source ? { source } : {}),
    });
    waiting = await store.of(start.id);
    tell();
    void inTurn(deliverAll);
    return checked;
  }

  return {
    state,
    deliver,
    async begin() {
      const kept = await store.runOf(start.id);
      // A page that was loaded without the server may be of before.
      if (kept && kept.events.length > server.events.length) server = kept;
      waiting = await store.of(start.id);
      tell();
      await deliver();
    },
    record(event, source) {
      // One after the other: an event is checked over all that was kept before it.
      const recorded = recording.then(() => keep(event, source));
      recording = recorded.catch(() => {});
      return recorded;
    },
    async refresh(events) {
      await inTurn(async () => {
        if (events === server.events.length) return;
        const answer = await load();
        if (answer.success) {
          away = null;
          await know(answer.data);
          tell();
        } else if (isAway(answer.error)) {
          away = answer.error;
          tell();
        }
      });
      if (waiting.length > 0 && !away) await deliver();
    },
  };
}

/** Where nothing is sent: what happens is kept by the page alone. */
export function deliveredHere(start: Run): Pick<Options, 'send' | 'load'> {
  let run = start;
  return {
    async send(kept) {
      run = withKept(run, kept);
      return { success: true, data: run };
    },
    load: async () => ({ success: true, data: run }),
  };
}

/** A run with an event that is on its way, where it can follow and is not with the server already. */
function withKept(run: Run, kept: KeptEvent): Run {
  const { event, occurredAt, source = {} } = kept;
  if (isThere(run, kept) || !checkEvent(run, event).success) return run;
  return withEvent(run, { occurredAt, recordedAt: occurredAt, source, event });
}

/** It got there, but is still kept here: its answer was lost, or is just being kept. Hands do nothing twice in a millisecond. */
function isThere({ events }: Run, { event, occurredAt }: KeptEvent): boolean {
  return events.some(
    (each) =>
      each.occurredAt === occurredAt &&
      each.event.kind === event.kind &&
      taskOf(each.event) === taskOf(event),
  );
}

function taskOf(event: RunEvent): string | null {
  return 'taskId' in event ? event.taskId : null;
}
