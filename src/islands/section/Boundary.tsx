import { type RefObject, useState } from 'react';
import { showNumber } from '../../core/units/showQuantity';

interface BoundaryProps {
  names: string;
  atMm: number;
  leastMm: number;
  mostMm: number;
  halfWidthMm: number;
  text: number;
  locale: string;
  svg: RefObject<SVGSVGElement | null>;
  onMove(toMm: number): void;
}

const KEY_STEPS_MM: Record<string, number> = { ArrowUp: 1, ArrowDown: -1, PageUp: 5, PageDown: -5 };

/** The line between two pours: dragged by pointer or finger, moved by arrow keys, to whole millimetres. */
export function Boundary({
  names,
  atMm,
  leastMm,
  mostMm,
  halfWidthMm,
  text,
  locale,
  svg,
  onMove,
}: BoundaryProps) {
  const [held, setHeld] = useState(false);
  /** A line is held from as far away as its neighbour allows. */
  const reach = (toNextMm: number) => Math.min(text * 0.9, toNextMm / 2);
  function heightOf(event: PointerEvent): number | null {
    const toDrawing = svg.current?.getScreenCTM()?.inverse();
    return toDrawing ? -new DOMPoint(event.clientX, event.clientY).matrixTransform(toDrawing).y : null;
  }
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`Boundary of ${names}`}
      aria-orientation="vertical"
      aria-valuenow={Number(atMm.toFixed(1))}
      aria-valuemin={Number(leastMm.toFixed(1))}
      aria-valuemax={Number(mostMm.toFixed(1))}
      aria-valuetext={`${showNumber(atMm, 1, locale)} mm`}
      className="cursor-ns-resize touch-none"
      onKeyDown={(event) => {
        const step = KEY_STEPS_MM[event.key];
        if (step === undefined) return;
        event.preventDefault();
        onMove(Math.round(atMm) + step);
      }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setHeld(true);
      }}
      onPointerMove={(event) => {
        const heightMm = held ? heightOf(event.nativeEvent) : null;
        if (heightMm !== null && Math.round(heightMm) !== atMm) onMove(Math.round(heightMm));
      }}
      onPointerUp={() => setHeld(false)}
      onPointerCancel={() => setHeld(false)}
    >
      <rect
        x={-halfWidthMm}
        y={-atMm - reach(mostMm - atMm)}
        width={halfWidthMm * 2 + text * 3.4}
        height={reach(mostMm - atMm) + reach(atMm - leastMm)}
        fill="transparent"
      />
      <line
        x1={-halfWidthMm}
        x2={halfWidthMm + text * 0.7}
        y1={-atMm}
        y2={-atMm}
        stroke="currentColor"
        strokeWidth={held ? text / 5 : text / 9}
      />
      <text x={halfWidthMm + text} y={-atMm + text * 0.3} fontSize={text * 0.9} fill="currentColor">
        {showNumber(atMm, 1, locale)}
      </text>
    </g>
  );
}
