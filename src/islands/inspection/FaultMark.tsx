import type { ReactNode } from 'react';
import type { Fault } from '../../core/inspection/faults';

const BAR = <rect x="3" y="7" width="26" height="18" rx="2" />;

/** A bar with what is wrong with it, drawn by ourselves: 32 by 32. */
const MARKS: Record<Fault, ReactNode> = {
  'layers-part': (
    <>
      <path d="M3 13 V9 a2 2 0 0 1 2-2 h22 a2 2 0 0 1 2 2 v2 l-26 2z" />
      <path d="M3 18 l26-2 v7 a2 2 0 0 1-2 2 H5 a2 2 0 0 1-2-2z" />
    </>
  ),
  'melted-through': (
    <>
      {BAR}
      <path d="M3 16 h8 c2 0 2 6 5 6 s3-6 5-6 h8" />
    </>
  ),
  smeared: (
    <>
      {BAR}
      <path d="M3 16 h5 q2-5 4 0 t4 0 t4 0 t4 0 h5" />
    </>
  ),
  beads: (
    <>
      {BAR}
      {[9, 16, 23].map((x) => (
        <path key={x} d={`M${x} 11 q3 4 0 6 q-3-2 0-6z`} fill="currentColor" />
      ))}
    </>
  ),
  soft: <path d="M5 9 q11 6 22 0 q4 4 2 14 q-13 4-26 0 q-2-10 2-14z" />,
  'grit-sank': (
    <>
      {BAR}
      {[6, 10, 14, 18, 22, 26].map((x) => (
        <circle key={x} cx={x} cy={22} r="1.4" fill="currentColor" />
      ))}
    </>
  ),
  'petals-floated': (
    <>
      {BAR}
      {[8, 14, 20, 25].map((x) => (
        <path key={x} d={`M${x - 2} 10 q2-3 4 0 q-2 3-4 0z`} fill="currentColor" />
      ))}
    </>
  ),
  bubbles: (
    <>
      {BAR}
      {[
        [8, 10, 1.5],
        [14, 12, 2.2],
        [21, 10, 1.8],
        [25, 13, 1.2],
      ].map(([x, y, r]) => (
        <circle key={x} cx={x} cy={y} r={r} />
      ))}
    </>
  ),
  browned: (
    <>
      {BAR}
      <path d="M5 23 L13 9 M11 23 L19 9 M17 23 L25 9 M23 23 L28 14" />
    </>
  ),
  'weak-scent': (
    <>
      <rect x="3" y="17" width="26" height="9" rx="2" />
      <path d="M10 14 q-3-3 0-6" />
      <path d="M18 14 q-3-3 0-6" strokeDasharray="2 2" />
    </>
  ),
  specks: (
    <>
      {BAR}
      {[
        [8, 12],
        [13, 19],
        [17, 11],
        [22, 17],
        [26, 21],
      ].map(([x, y]) => (
        <rect key={x} x={x} y={y} width="1.8" height="1.8" fill="currentColor" />
      ))}
    </>
  ),
  bleeds: (
    <>
      <rect x="3" y="5" width="26" height="13" rx="2" />
      <path d="M8 20 v5 M14 20 v7 M20 20 v4 M25 20 v6" />
    </>
  ),
  rubbery: (
    <>
      <path d="M4 24 q6-16 12-8 t12-6" strokeWidth="4" />
    </>
  ),
  'mold-warped': <path d="M3 8 q2 18 5 18 h16 q7-2 5-18 M8 26 q8-5 16 0" />,
  short: (
    <>
      <path d="M3 7 v16 a2 2 0 0 0 2 2 h22 a2 2 0 0 0 2-2 V7" />
      <path d="M3 16 h26" />
    </>
  ),
  broke: (
    <>
      {BAR}
      <path d="M17 7 l-3 5 4 4 -4 4 2 5" />
    </>
  ),
  'loose-piece': (
    <>
      <path d="M11 11 H5 a2 2 0 0 0-2 2 v11 a2 2 0 0 0 2 2 h22 a2 2 0 0 0 2-2 V13 a2 2 0 0 0-2-2 h-6 v5 h-10z" />
      <rect x="12" y="3" width="8" height="7" transform="rotate(12 16 6)" />
    </>
  ),
};

export function FaultMark({ fault }: { fault: Fault }) {
  return (
    <svg
      viewBox="0 0 32 32"
      className="size-8 flex-none"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.8"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      {MARKS[fault]}
    </svg>
  );
}
