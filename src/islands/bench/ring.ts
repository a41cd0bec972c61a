const SILENT = 'tallow.bench.silent';
const RING = { notesHz: [660, 880, 660], eachS: 0.18, loudness: 0.25 };

export function isSilent(): boolean {
  return localStorage.getItem(SILENT) !== null;
}

export function setSilent(silent: boolean): void {
  if (silent) localStorage.setItem(SILENT, '1');
  else localStorage.removeItem(SILENT);
}

/** Three notes, where the bench is to ring. Without a press on the page before, a browser may keep silent. */
export function ring(): void {
  if (isSilent()) return;
  try {
    const context = new AudioContext();
    RING.notesHz.forEach((hz, place) => {
      const [tone, volume] = [context.createOscillator(), context.createGain()];
      tone.frequency.value = hz;
      volume.gain.value = RING.loudness;
      tone.connect(volume).connect(context.destination);
      tone.start(context.currentTime + place * RING.eachS);
      tone.stop(context.currentTime + (place + 1) * RING.eachS);
    });
    setTimeout(() => void context.close(), (RING.notesHz.length + 1) * RING.eachS * 1000);
  } catch {
    // There is no sound here: the title and the tile say it.
  }
}
