import { type RefObject, useState } from 'react';
import { showNumber } from '../../core/units/showQuantity';

interface BoundaryProps {
  names: string;
  atMm: number;
  leastMm: number;
  mostMm: number;
  /** Where its figure stands, so that figures don't lie on one another. */
  labelMm: number;
  /** It slopes; its height is that over the middle, where it is marked. */
  isSlope: boolean;
  fromXMm: number;
  toXMm: number;
  text: number;
  locale: string;
  svg: RefObject<SVGSVGElement | null>;
  onMove(toMm: number): void;
  /** Its height is to be typed. */
  onType(at: SVGGElement): void;
}

const KEY_STEPS_MM: Record<string, number> = { ArrowUp: 1, ArrowDown: -1, PageUp: 5, PageDown: -5 };

/** The line between two pours: dragged by pointer or finger, moved by arrow keys, typed after Enter or a double click. */
export function Boundary(props: BoundaryProps) {
  const {
    names,
    atMm,
    leastMm,
    mostMm,
    labelMm,
    isSlope,
    fromXMm,
    toXMm,
    text,
    locale,
    svg,
    onMove,
    onType,
  } = props;
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
        if (event.key === 'Enter') {
          event.preventDefault();
          onType(event.currentTarget);
        }
        const step = KEY_STEPS_MM[event.key];
        if (step === undefined) return;
        event.preventDefault();
        onMove(Math.round(atMm) + step);
      }}
      onDoubleClick={(event) => onType(event.currentTarget)}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setHeld(true);
      }}
      onPointerMove={(event) => {
        const heightMm = held ? heightOf(event.nativeEvent) : null;
        if (heightMm !== null && Math.round(heightMm) !== Math.round(atMm)) onMove(Math.round(heightMm));
      }}
      onPointerUp={() => setHeld(false)}
      onPointerCancel={() => setHeld(false)}
    >
      <rect
        x={fromXMm}
        y={-atMm - reach(mostMm - atMm)}
        width={toXMm - fromXMm + text * 3.8}
        height={reach(mostMm - atMm) + reach(atMm - leastMm)}
        fill="transparent"
      />
      <polyline
        points={`${isSlope ? toXMm : fromXMm},${-atMm} ${toXMm},${-atMm} ${toXMm + text * 0.8},${-labelMm}`}
        fill="none"
        stroke="currentColor"
        strokeWidth={held ? text / 5 : text / 9}
      />
      {isSlope && (
        <circle cx={(fromXMm + toXMm) / 2} cy={-atMm} r={text / (held ? 2.5 : 4)} fill="currentColor" />
      )}
      <text x={toXMm + text} y={-labelMm + text * 0.3} fontSize={text * 0.9} fill="currentColor">
        {showNumber(atMm, 1, locale)}
      </text>
    </g>
  );
}
