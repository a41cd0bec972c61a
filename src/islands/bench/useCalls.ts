import { useEffect, useRef, useState } from 'react';
import { callOnce } from './callOnce';
import { isSilent, ring, setSilent } from './ring';

/** What calls from the bench: a ring and a notification when a wait is over, and a voice. */
export interface Calls {
  rings: boolean;
  speaks: boolean;
  /** This browser has a voice. */
  canSpeak: boolean;
  toggleRings(): void;
  toggleSpeaks(): void;
}

export interface WaitCall {
  runId: string;
  /** Of the run. */
  id: string;
  /** Said in the title and aloud. */
  words: string;
  isOver: boolean;
}

const SPEAKS = 'tallow.bench.speaks';

/**
 * Calls once for each wait that ends: by sound, by the page's title, by a notification where that is allowed. Says the task
 * in hand aloud when it changes, where that is wanted. Keeps the screen awake. What a browser lacks is left out.
 *
 * @param said the task in hand as one would say it
 */
export function useCalls(waits: readonly WaitCall[], said: string, isOpen: boolean): Calls {
  const [rings, setRings] = useState(() => !isSilent());
  const [speaks, setSpeaks] = useState(() => localStorage.getItem(SPEAKS) !== null);
  const over = waits.filter(({ isOver }) => isOver);
  const names = over.map(({ runId, id }) => `${runId} ${id}`).join(' ');
  const title = useRef(document.title);

  // biome-ignore lint/correctness/useExhaustiveDependencies: which waits are over is all that matters of them
  useEffect(() => {
    document.title = over.length > 0 ? `● ${over[0]?.words} – ${title.current}` : title.current;
    const words = callOnce(over);
    if (words !== '' && speaks) say(words);
  }, [names]);

  useEffect(() => {
    if (speaks && isOpen) say(said);
  }, [said, speaks, isOpen]);

  useEffect(() => (isOpen ? keepAwake() : undefined), [isOpen]);

  return {
    rings,
    speaks,
    canSpeak: 'speechSynthesis' in window,
    toggleRings() {
      setRings(!rings);
      setSilent(rings);
      if (!rings) {
        ring();
        if (mayAskToNotify()) void Notification.requestPermission();
      }
    },
    toggleSpeaks() {
      setSpeaks(!speaks);
      if (speaks) {
        localStorage.removeItem(SPEAKS);
        window.speechSynthesis?.cancel();
      } else localStorage.setItem(SPEAKS, '1');
    },
  };
}

/** This browser has notifications, and nobody has said yet whether they are wanted. */
export function mayAskToNotify(): boolean {
  return 'Notification' in window && Notification.permission === 'default';
}

function say(words: string): void {
  if (!('speechSynthesis' in window) || words === '') return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
}

/** Asks for the screen to stay awake, again whenever the page is seen again. */
function keepAwake(): () => void {
  let lock: WakeLockSentinel | null = null;
  let isOver = false;
  const ask = async () => {
    if (document.hidden || !('wakeLock' in navigator)) return;
    const asked = await navigator.wakeLock.request('screen').catch(() => null);
    if (isOver) void asked?.release();
    else lock = asked;
  };
  const onSeen = () => void ask();
  void ask();
  document.addEventListener('visibilitychange', onSeen);
  return () => {
    isOver = true;
    document.removeEventListener('visibilitychange', onSeen);
    void lock?.release();
  };
}
