import { AS_GOOD_AS_A_HAND } from '../../core/run/scaleWatch';

/** The band shows this much on either side. */
const REACH = 0.08;

/** Where the weight lies beside its target: the hatched middle is close enough. */
export function DeviationBand({ weighedG, targetG }: { weighedG: number | null; targetG: number }) {
  const deviation = weighedG === null ? null : (weighedG - targetG) / targetG;
  const place = (share: number) => 50 + (Math.max(-REACH, Math.min(REACH, share)) / REACH) * 50;
  return (
    <svg viewBox="0 0 100 9" preserveAspectRatio="none" className="h-9 w-full" aria-hidden="true">
      <defs>
        <pattern
          id="close"
          width="1.2"
          height="1.2"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" x2="0" y1="0" y2="1.2" stroke="currentColor" strokeWidth="0.5" />
        </pattern>
      </defs>
      <rect x="0" y="3" width="100" height="4" className="fill-base-300" />
      <rect
        x={place(-AS_GOOD_AS_A_HAND)}
        y="3"
        width={place(AS_GOOD_AS_A_HAND) - place(-AS_GOOD_AS_A_HAND)}
        height="4"
        fill="url(#close)"
        className="text-base-content"
      />
      <line x1="50" x2="50" y1="2" y2="8" stroke="currentColor" strokeWidth="0.4" />
      {deviation !== null && (
        <rect x={place(deviation) - 0.8} y="0.5" width="1.6" height="8" className="fill-primary" />
      )}
    </svg>
  );
}
