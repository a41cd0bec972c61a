import { dewPointC } from '../../core/heat/air';
import type { HouseRules } from '../../core/houseRules/houseRules';
import { LEAST_MELT_LIMITS_G } from '../../core/houseRules/leastMelt';
import { isZone, type Making, USUAL_MAKING } from '../../core/plan/making';
import { localMoment } from '../../core/plan/makingSchema';
import { withFreezer, withMaking } from '../../core/plan/setMaking';
import { showTemperature } from '../../core/units/showQuantity';
import { usePlanPage } from '../plans/planContext';
import { FigureField } from '../shared/FigureField';
import { useShowing } from '../shared/showing';
import { TemperatureField } from '../shared/TemperatureField';
import { clockNow, zoneHere } from '../shared/today';
import type { DetailsProps } from './detailsProps';

type Props = Pick<DetailsProps, 'file'>;

const SPREAD = { unit: 'K', least: 0, most: 8 };
const SPREAD_F = { unit: '°F', least: 0, most: 14 };
const HUMIDITY = { unit: '%', least: 5, most: 98 };
const HUMIDITY_SPREAD = { unit: '%', least: 0, most: 30 };
const FREEZER = { unit: 'min', least: 1, most: 600 };
const CLOCKS = { none: 'At any time', start: 'Begins at', finish: 'Done by' } as const;

/** The room, the clock and the freezer of a plan. */
export function MakingForm({ file: { plan } }: Props) {
  const { editShown } = usePlanPage();
  const making = plan.making ?? USUAL_MAKING;
  const edit = (change: Partial<Making>, about: string) => editShown(withMaking(plan, change), about);
  return (
    <div className="flex flex-col gap-4">
      <RoomFields room={making.room} edit={edit} />
      <ClockFields clock={making.clock} edit={edit} />
      <FreezerFields
        freezerMin={making.freezerMin}
        onChange={(minutes, about) => editShown(withFreezer(plan, minutes), about)}
      />
      <LeastMeltField
        leastMeltG={plan.leastMeltG ?? 0}
        onChange={(leastMeltG) => editShown({ ...plan, leastMeltG }, 'least melt')}
      />
    </div>
  );
}

const LEAST_MELT = { unit: 'g', least: LEAST_MELT_LIMITS_G[0], most: LEAST_MELT_LIMITS_G[1] };

function LeastMeltField({
  leastMeltG,
  onChange,
}: {
  leastMeltG: number;
  onChange(leastMeltG: number): void;
}) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold">The least that is melted</legend>
      <FigureField
        label="A jug melts at least"
        className="w-40"
        value={leastMeltG}
        rule={LEAST_MELT}
        onChange={onChange}
      />
      <p className="quiet mt-1 text-xs">
        A pour that takes less is poured from a jug of this much base, and the rest is left over. Doses that
        are amounts are for the whole jug.
      </p>
    </fieldset>
  );
}

/** @param about what an edit is about */
type Edit = (change: Partial<Making>, about: string) => void;

function RoomFields({ room, edit }: { room: Making['room']; edit: Edit }) {
  const showing = useShowing();
  const isF = showing.system === 'us';
  const setRoom = (change: Partial<Making['room']>) =>
    edit({ room: { ...room, ...change } }, `room ${Object.keys(change).join()}`);
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold">The room it is made in</legend>
      <div className="grid max-w-md grid-cols-2 gap-2">
        <TemperatureField
          label="Temperature"
          tempC={room.tempC}
          leastC={5}
          mostC={40}
          system={showing.system}
          onChange={(tempC) => setRoom({ tempC })}
        />
        <FigureField
          label="give or take"
          value={isF ? Number((room.spreadK * 1.8).toFixed(2)) : room.spreadK}
          rule={isF ? SPREAD_F : SPREAD}
          onChange={(spread) => setRoom({ spreadK: isF ? spread / 1.8 : spread })}
        />
        <FigureField
          label="Humidity"
          value={Number((room.humidity * 100).toFixed(2))}
          rule={HUMIDITY}
          onChange={(percent) => setRoom({ humidity: percent / 100 })}
        />
        <FigureField
          label="give or take"
          value={Number((room.humiditySpread * 100).toFixed(2))}
          rule={HUMIDITY_SPREAD}
          onChange={(percent) => setRoom({ humiditySpread: percent / 100 })}
        />
      </div>
      <p className="quiet mt-1 text-xs">
        Anything colder than {showTemperature(dewPointC(room), showing)} gathers water in this room.
      </p>
    </fieldset>
  );
}

function ClockFields({ clock, edit }: { clock: Making['clock']; edit: Edit }) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold">When</legend>
      <div className="flex flex-wrap items-end gap-2">
        <label className="flex flex-col text-xs">
          <span className="quiet">Begins or ends</span>
          <select
            className="select select-sm w-40 pointer-coarse:min-h-11"
            value={clock?.at ?? 'none'}
            onChange={({ target: { value } }) =>
              edit(
                {
                  clock:
                    value === 'start' || value === 'finish'
                      ? clock
                        ? { ...clock, at: value }
                        : {
                            at: value,
                            time: nextFullHour(),
                            ...(isZone(zoneHere()) ? { zone: zoneHere() } : {}),
                          }
                      : null,
                },
                `clock ${value}`,
              )
            }
          >
            {Object.entries(CLOCKS).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </select>
        </label>
        {clock && (
          <label className="flex flex-col text-xs">
            <span className="quiet">Day and time</span>
            <input
              type="datetime-local"
              className="input input-sm w-56 pointer-coarse:min-h-11"
              value={clock.time}
              onChange={({ target: { value } }) => {
                if (localMoment.safeParse(value).success)
                  edit({ clock: { ...clock, time: value } }, 'clock time');
              }}
            />
          </label>
        )}
      </div>
      {clock?.zone !== undefined && clock.zone !== zoneHere() && (
        <p className="quiet mt-1 text-xs">By the clock in {clock.zone}, which is another than here.</p>
      )}
      {clock?.at === 'finish' && (
        <p className="quiet mt-1 text-xs">
          The beginning is so early that nine times in ten everything is cut and wrapped by then.
        </p>
      )}
    </fieldset>
  );
}

interface FreezerProps {
  freezerMin: Making['freezerMin'];
  onChange(minutes: number | null, about: string): void;
}

function FreezerFields({ freezerMin, onChange }: FreezerProps) {
  const { rules } = usePlanPage();
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold">Freezer</legend>
      <div className="flex flex-wrap items-end gap-3">
        <label className="flex min-h-11 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={freezerMin !== null}
            onChange={({ target }) => onChange(target.checked ? 10 : null, 'freezer')}
          />
          After the last skin, into the freezer
        </label>
        {freezerMin !== null && (
          <FigureField
            label="for"
            value={freezerMin}
            rule={FREEZER}
            className="w-28"
            onChange={(minutes) => onChange(minutes, 'freezer min')}
          />
        )}
      </div>
      <p className="quiet text-xs">{FREEZER_RULES[rules.freezer]}</p>
    </fieldset>
  );
}

const FREEZER_RULES: Record<HouseRules['freezer'], string> = {
  brief: 'House rule: ten minutes at most, after the skin, and only for low-sweat bases.',
  never: 'House rule: no freezer. The checks tell why.',
  freely: 'House rule: for hours if need be, not overnight.',
};

function nextFullHour(): string {
  return `${clockNow(undefined, 1).slice(0, 13)}:00`;
}
