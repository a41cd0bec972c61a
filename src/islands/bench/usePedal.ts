import { useEffect } from 'react';

/** A foot pedal sends Page Down: it presses the one thing to press, wherever the keyboard is. */
export function usePedal(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'PageDown' || event.repeat || document.querySelector('dialog[open]')) return;
      event.preventDefault();
      document.querySelector<HTMLButtonElement>('[data-next]:not([disabled])')?.click();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, []);
}
