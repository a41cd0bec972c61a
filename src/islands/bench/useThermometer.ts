import { useEffect, useState } from 'react';
import { listenToChanges } from '../shared/changes';

/** Nothing new for so long: it is gone. */
const SILENT_MS = 15_000;

/** What a thermometer that sends to Idle Tallow shows now, °C; null where there is none. */
export function useThermometer(): number | null {
  const [shown, setShown] = useState<{ tempC: number } | null>(null);
  useEffect(
    () =>
      listenToChanges({
        onChange() {},
        onThere() {},
        onAway() {},
        onReading: ({ reading }) => reading.kind === 'temperature' && setShown({ tempC: reading.tempC }),
      }),
    [],
  );
  useEffect(() => {
    if (!shown) return;
    const timer = setTimeout(() => setShown(null), SILENT_MS);
    return () => clearTimeout(timer);
  }, [shown]);
  return shown?.tempC ?? null;
}
