import { useEffect } from 'react';

const PRESSES: Record<string, string> = {
  PageDown: '[data-next]:not([disabled])',
  PageUp: '[data-other-next]',
};

/**
 * A foot pedal sends Page Down and Page Up: one presses the one thing to press, the other turns to the run that hands are
 * asked for next, wherever the keyboard is.
 */
export function usePedal(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const pressed = PRESSES[event.key];
      if (!pressed || event.repeat || document.querySelector('dialog[open]')) return;
      event.preventDefault();
      document.querySelector<HTMLElement>(pressed)?.click();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, []);
}
