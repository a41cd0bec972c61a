import type { RefObject } from 'react';
import type { PourLayer } from '../../../core/schedule/pourPlan';
import type { ScheduledTask } from '../../../core/schedule/scheduledTask';
import { lengthWords } from '../../../words/en/lengthWords';
import { Block } from './Block';
import { BOND_WORDS } from './bondWords';
import { PourMarker } from './PourMarker';
import type { Strip } from './strip';

interface Props {
  strip: Strip;
  layer: PourLayer;
  own: ScheduledTask;
  before: ScheduledTask | undefined;
  lettersBefore: string;
  /** From here on the window of the next layer would lie over this one. */
  nextOpensS: number;
  lane: RefObject<HTMLDivElement | null>;
  isSelected: boolean;
  pendingMin: number | null;
  onWait(pourIndex: number, afterMin: number | null): void;
  onHold(isHeld: boolean): void;
}

/** When a layer may be poured, and when it is; the first is poured when it is ready. */
export function PourWindow(props: Props) {
  const { strip, layer, own, before, lettersBefore, nextOpensS, pendingMin, onWait, onHold } = props;
  const { scale, locale, moment, said, onOpen } = strip;
  const pourIndex = layer.pourIndexes[0] ?? 0;
  if (!before || !layer.window)
    return (
      <span
        className="border-base-content absolute inset-y-0 border-l-2 pl-1 text-xs leading-5 font-bold"
        style={{ left: `${scale.at(own.fromS) * 100}%` }}
        title={`${moment(own.fromS)}: ${said(own)}`}
      >
        {layer.letters}
      </span>
    );
  const { earliest, latest, idealS } = layer.window;
  const endS = nextOpensS - before.fromS;
  const openS = Math.max(latest.middle, earliest.middle);
  const band = (fromS: number, toS: number, className: string, words: string) => (
    <Block
      strip={strip}
      fromS={before.fromS + fromS}
      toS={before.fromS + Math.min(toS, endS)}
      className={`top-0 h-5 ${className}`}
      title={`${words}, from ${lengthWords(fromS, locale)} to ${lengthWords(toS, locale)} after ${lettersBefore}`}
    >
      {words}
    </Block>
  );
  return (
    <div>
      {band(earliest.low, earliest.middle, 'hatch-early', 'skin?')}
      {Math.min(latest.middle, endS) > earliest.middle &&
        band(
          earliest.middle,
          latest.middle,
          'live border border-current',
          `${layer.letters} ${BOND_WORDS.good}`,
        )}
      {Math.min(latest.high, endS) > openS && band(openS, latest.high, 'hatch-late', 'weaker')}
      <span
        className="border-base-content absolute top-0 h-2.5 border-l-2 border-dotted"
        style={{ left: `${scale.at(before.fromS + idealS) * 100}%` }}
        title={`Best for ${layer.letters}: ${lengthWords(idealS, locale)} after ${lettersBefore}`}
      />
      <PourMarker
        layer={layer}
        lettersBefore={lettersBefore}
        beforeS={before.fromS}
        atS={own.fromS}
        pendingMin={pendingMin}
        scale={scale}
        lane={props.lane}
        locale={locale}
        isSelected={props.isSelected}
        onMove={(afterMin) => onWait(pourIndex, afterMin)}
        onOpen={() => onOpen(pourIndex)}
        onHold={onHold}
      />
    </div>
  );
}
