import type { Strip } from './strip';

interface Props {
  strip: Strip;
  fromS: number;
  toS: number;
  className: string;
  title: string;
  children: string;
  /** Where the words do not fit, the longest first. */
  shorter?: readonly string[];
  onClick?(): void;
}

/** A letter of a block is about so wide. Words that would be cut off are told when the block is gone to. */
const LETTER_PX = 5.6;

/** A stretch of time in a lane. */
export function Block({
  strip: { scale, widthPx, onTell },
  fromS,
  toS,
  className,
  title,
  children,
  shorter = [],
  onClick,
}: Props) {
  const [from, to] = [scale.at(fromS), scale.at(toS)];
  const style = { left: `${from * 100}%`, width: `${Math.max(0, to - from) * 100}%` };
  const look = `absolute flex h-5 items-center overflow-hidden rounded-sm px-0.5 text-[11px] leading-none whitespace-nowrap ${className}`;
  const fits = (words: string) => words.length * LETTER_PX < (to - from) * widthPx;
  // The strip goes to its blocks by arrow keys; a click is a short cut to what the list tells too.
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: see above
    // biome-ignore lint/a11y/useKeyWithClickEvents: see above
    <span
      className={look}
      style={style}
      title={title}
      data-from={fromS}
      tabIndex={-1}
      onFocus={() => onTell({ words: title, from })}
      onBlur={() => onTell(null)}
      onClick={onClick}
    >
      {[children, ...shorter].find(fits) ?? ''}
    </span>
  );
}
