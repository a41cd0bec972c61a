import { type RefObject, useLayoutEffect, useState } from 'react';

/** How wide an element is now, px; nothing until it is there. */
export function useWidth(element: RefObject<HTMLElement | null>): number {
  const [widthPx, setWidthPx] = useState(0);
  useLayoutEffect(() => {
    const { current } = element;
    if (!current) return;
    setWidthPx(current.clientWidth);
    const observer = new ResizeObserver(() => setWidthPx(current.clientWidth));
    observer.observe(current);
    return () => observer.disconnect();
  }, [element]);
  return widthPx;
}
