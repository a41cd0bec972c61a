import { useEffect, useState } from 'react';
import { showDay, showMoment } from '../../words/en/showTime';
import { type ApiAnswer, callApi } from '../shared/api';
import { useShowing, withShowing } from '../shared/showing';
import { InstrumentIn } from './InstrumentIn';

/** A device that was let in. */
interface Device {
  id: string;
  name: string;
  may: 'bench' | 'all' | 'send';
  letInAt: string;
}

interface Sharing {
  isPossible: boolean;
  isOn: boolean;
  addresses: string[];
  isSecure: boolean;
  devices: Device[];
}

interface Invitation {
  url: string;
  until: string;
  svg: string;
}

const LOOK_EVERY_MS = 2000;

/** Whether the local network is let in, a code for one more device, and those that are in. */
function Devices({ start }: { start: Sharing }) {
  const { locale } = useShowing();
  const [sharing, setSharing] = useState(start);
  const [invitation, setInvitation] = useState<Invitation | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  const known = sharing.devices.length;
  useEffect(() => {
    if (!invitation) return;
    // The device says its name on its own screen.
    const timer = setInterval(async () => {
      const answer = await callApi<Sharing>('GET', '/api/devices');
      if (!answer.success || answer.data.devices.length <= known) return;
      setSharing(answer.data);
      setInvitation(null);
    }, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [invitation, known]);

  async function ask<Body>(asked: Promise<ApiAnswer<Body>>, then: (body: Body) => void) {
    setBusy(true);
    const answer = await asked;
    setBusy(false);
    setProblem(answer.success ? null : answer.error.detail);
    if (answer.success) then(answer.data);
  }
  const letIn = (isOn: boolean) => {
    setInvitation(null);
    void ask(callApi<Sharing>('PUT', '/api/devices', { isOn }), setSharing);
  };
  const address = (id: string) => `/api/devices/${encodeURIComponent(id)}`;

  return (
    <div className="flex max-w-3xl flex-col gap-4">
      <section className="plate p-4" aria-labelledby="network">
        <h2 id="network" className="text-lg font-semibold">
          The local network
        </h2>
        <label className="flex min-h-11 cursor-pointer items-center gap-3">
          <input
            type="checkbox"
            className="toggle"
            checked={sharing.isOn}
            disabled={busy || !sharing.isPossible}
            onChange={({ target }) => letIn(target.checked)}
          />
          Let devices of this network in
        </label>
        {!sharing.isPossible && (
          <p className="quiet text-sm">This server can’t. Start it with npm start, or npm run demo.</p>
        )}
        {sharing.isOn && (
          <p>
            Served at <strong>{sharing.addresses.join(' and ')}</strong>.{' '}
            {!sharing.isSecure && (
              <span className="quiet text-sm">
                What goes over the network is not encrypted. A tablet can’t reload the bench without this
                machine, or keep its screen awake, unless a certificate is given with --cert and --key.
              </span>
            )}
          </p>
        )}
        {problem && (
          <p role="alert" className="text-error">
            {problem}
          </p>
        )}
      </section>
      {sharing.isOn && (
        <section className="plate p-4" aria-labelledby="one-more">
          <h2 id="one-more" className="text-lg font-semibold">
            Let one in
          </h2>
          {invitation ? (
            <div className="mt-2 flex flex-wrap items-start gap-4">
              <img
                className="size-56 rounded-lg bg-white p-2"
                alt="The link, to be scanned with the device’s camera"
                src={`data:image/svg+xml;utf8,${encodeURIComponent(invitation.svg)}`}
              />
              <div className="min-w-60 flex-1">
                <p>Scan it, or open this link on the device:</p>
                <p className="my-2 font-semibold break-all">{invitation.url}</p>
                <p className="quiet text-sm">
                  It lets one device in, once, until {showMoment(invitation.until, locale)}.
                </p>
              </div>
            </div>
          ) : (
            <button
              type="button"
              className="btn btn-primary mt-2 min-h-11"
              disabled={busy}
              onClick={() => void ask(callApi<Invitation>('POST', '/api/devices/invite'), setInvitation)}
            >
              Make a code
            </button>
          )}
        </section>
      )}
      {sharing.isOn && (
        <InstrumentIn
          address={sharing.addresses[0] ?? ''}
          onIn={() => void ask(callApi<Sharing>('GET', '/api/devices'), setSharing)}
        />
      )}
      <section className="plate p-4" aria-labelledby="let-in">
        <h2 id="let-in" className="text-lg font-semibold">
          Devices that are in
        </h2>
        {sharing.devices.length === 0 && <p className="quiet">No device was let in yet.</p>}
        <ul>
          {sharing.devices.map(({ id, name, may, letInAt }) => (
            <li
              key={id}
              className="border-base-300 flex min-h-13 flex-wrap items-center gap-3 border-t py-1 first:border-0"
            >
              <span className="min-w-48 flex-1">
                <strong>{name}</strong> <span className="quiet">since {showDay(letInAt, locale)}</span>
              </span>
              {may === 'send' ? (
                <span>Sends readings</span>
              ) : (
                <select
                  className="select min-h-11 w-auto"
                  aria-label={`What ${name} may do`}
                  value={may}
                  disabled={busy}
                  onChange={({ target }) =>
                    void ask(callApi<Sharing>('PUT', address(id), { may: target.value }), setSharing)
                  }
                >
                  <option value="bench">Bench, and reading</option>
                  <option value="all">All but copies and devices</option>
                </select>
              )}
              <button
                type="button"
                className="btn btn-ghost text-error min-h-11"
                disabled={busy}
                aria-label={`Remove ${name}`}
                onClick={() => void ask(callApi<Sharing>('DELETE', address(id)), setSharing)}
              >
                Remove
              </button>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

export default withShowing(Devices);
