import { type ReactNode, useState } from 'react';
import { massUnit, showMassFigure, showTemperature } from '../../core/units/showQuantity';
import { useShowing } from '../shared/showing';
import { useBenchWorld } from './benchWorld';
import type { LiveScale, ScaleSource } from './useScale';
import type { LiveThermometer, ThermometerSource } from './useThermometer';

const SCALES: Record<ScaleSource, string> = {
  pushed: 'Scales that send here',
  cable: 'By cable',
  'stand-in': 'A stand-in, to try it',
};
const THERMOMETERS: Record<ThermometerSource, string> = {
  pushed: 'Thermometers that send here',
  'stand-in': 'A stand-in, to try it',
};
/** What a hand may put on the stand-in, g. */
const PUTS = [0.05, 1, 10, 100] as const;

interface Props {
  scale: LiveScale;
  thermometer: LiveThermometer;
  /** What a hand would put on the stand-in now, g. */
  targetG: number | null;
}

/** Chooses the scale and the thermometer, and works the stand-ins. */
export function InstrumentDrawer({ scale, thermometer, targetG }: Props) {
  const isMade = useBenchWorld().rehearsal === null;
  return (
    <section className="plate flex flex-none flex-wrap items-center gap-2 p-2" aria-label="Instruments">
      {isMade && (
        <Sources
          name="Which scale"
          of={SCALES}
          value={scale.source}
          isOffered={(source) => source !== 'cable' || scale.canCable}
          onChoose={scale.choose}
        />
      )}
      <label className="flex min-h-11 items-center gap-2" title="When it stands still near what is aimed at">
        <input
          type="checkbox"
          className="toggle toggle-primary"
          checked={scale.accepts}
          onChange={scale.toggleAccepts}
        />
        Tick by itself
      </label>
      <Key onPress={scale.zero}>Tare</Key>
      {isMade && (
        <Sources
          name="Which thermometer"
          of={THERMOMETERS}
          value={thermometer.source}
          isOffered={() => true}
          onChoose={thermometer.choose}
        />
      )}
      <Thermometer thermometer={thermometer} />
      {scale.source === 'stand-in' && <StandInScale scale={scale} targetG={targetG} />}
    </section>
  );
}

function Sources<Source extends string>({
  name,
  of,
  value,
  isOffered,
  onChoose,
}: {
  name: string;
  of: Record<Source, string>;
  value: Source;
  isOffered(source: Source): boolean;
  onChoose(source: Source): void;
}) {
  return (
    <select
      aria-label={name}
      className="select min-h-11 w-60"
      value={value}
      onChange={({ target }) => onChoose(target.value as Source)}
    >
      {(Object.keys(of) as Source[]).filter(isOffered).map((source) => (
        <option key={source} value={source}>
          {of[source]}
        </option>
      ))}
    </select>
  );
}

function Key({ children, onPress }: { children: ReactNode; onPress(): void }) {
  return (
    <button type="button" className="btn btn-secondary min-h-11" onClick={onPress}>
      {children}
    </button>
  );
}

function Thermometer({ thermometer: { source, shown, standIn } }: Pick<Props, 'thermometer'>) {
  const showing = useShowing();
  const [isIn, setIsIn] = useState(true);
  return (
    <>
      <span className="px-1" data-testid="thermometer">
        {shown ? showTemperature(shown.tempC, showing, 1) : 'nothing read'}
      </span>
      {source === 'stand-in' && (
        <Key
          onPress={() => {
            standIn({ kind: 'plug', isIn: !isIn });
            setIsIn(!isIn);
          }}
        >
          {isIn ? 'Unplug the thermometer' : 'Plug the thermometer in'}
        </Key>
      )}
    </>
  );
}

function StandInScale({ scale, targetG }: Pick<Props, 'scale' | 'targetG'>) {
  const showing = useShowing();
  const isIn = scale.fault !== 'gone';
  const add = (massG: number) => scale.standIn({ kind: 'add', massG });
  return (
    <fieldset className="flex flex-wrap items-center gap-2" aria-label="Stand-in scale">
      {targetG !== null && <Key onPress={() => add(targetG)}>Put what is aimed at</Key>}
      {PUTS.map((massG) => (
        <Key key={massG} onPress={() => add(massG)}>
          + {showMassFigure(massG, showing)} {massUnit(showing.system)}
        </Key>
      ))}
      <Key onPress={() => scale.standIn({ kind: 'clear' })}>Take all off</Key>
      <Key onPress={() => scale.standIn({ kind: 'plug', isIn: !isIn })}>
        {isIn ? 'Unplug the scale' : 'Plug the scale in'}
      </Key>
    </fieldset>
  );
}
