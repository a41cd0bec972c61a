import { type Device, hashOf, newSecret, readSharing, writeSharing } from '../db/devices.mjs';
import type { Workshop } from './openWorkshop';
import { notFound, Problem } from './problem';

/** What the process that serves does for the network: see scripts/share.mjs. */
interface Network {
  isOn(): boolean;
  addresses(): string[];
  isSecure: boolean;
  invite(): { url: string; until: string };
  start(): Promise<void>;
  stop(): void;
  /** Ends what is going on with devices; who is still let in comes back by itself. */
  dropAll(): void;
}

const KEY = Symbol.for('tallow.sharing');

/** Null where the application is served by something else, as while it is developed. */
function network(): Network | null {
  return (globalThis as { [KEY]?: Network })[KEY] ?? null;
}

/** Who sent a request that came from the network. */
export interface FromDevice {
  id: string;
  may: Device['may'];
}

const HEADER = 'x-tallow-device';

/** The device that a request comes from; null for this machine's own. The serving process sets the header, nobody else. */
export function deviceOf(request: Request): FromDevice | null {
  const [id, may] = (network() && request.headers.get(HEADER)?.split(' ')) || [];
  return id ? { id, may: may === 'all' || may === 'send' ? may : 'bench' } : null;
}

/** What no device of the network may, whatever its owner says: letting others in, and carrying the workshop away. */
const NEVER = /^\/(?:api\/)?(?:devices|copies)(?:\/|$)/;
/** Work at the bench, and what is only worked out. */
const AT_THE_BENCH =
  /^\/api\/(?:files|rack\/air|runs(?:\/[^/]+\/(?:events|readings))?|sheet|pour-plan|recipe|plans\/meet|instruments\/[^/]+\/readings)$/;
const READINGS = /^\/api\/(?:instruments\/[^/]+\/readings|rack\/air)$/;
const READS: ReadonlySet<string> = new Set(['GET', 'HEAD']);

/**
 * Whether a device may ask for something.
 *
 * @throws Problem 403
 */
export function checkDevice({ may }: FromDevice, method: string, pathname: string): void {
  if (NEVER.test(pathname))
    throw new Problem(403, 'only-here', 'This can only be done on the machine that Idle Tallow runs on.');
  if (may === 'send') {
    if (method === 'POST' && READINGS.test(pathname)) return;
    throw new Problem(
      403,
      'sends-only',
      'This instrument sends readings and the air of the rack, and does nothing else.',
    );
  }
  if (may === 'all' || READS.has(method) || (method === 'POST' && AT_THE_BENCH.test(pathname))) return;
  throw new Problem(
    403,
    'bench-only',
    'This device works at the bench, and reads the rest. Its owner can let it do more: House rules, “Tablets at the bench”, on the machine that Idle Tallow runs on. Nothing was saved.',
  );
}

/** A device as it is shown: without its secret. */
export type ShownDevice = Omit<Device, 'secretHash'>;

export interface SharingState {
  /** False where this process can't serve the network. */
  isPossible: boolean;
  isOn: boolean;
  addresses: string[];
  /** By a certificate; without, a tablet’s browser gives no service worker, wake lock or notification. */
  isSecure: boolean;
  devices: ShownDevice[];
}

export function sharingState({ folder }: Workshop): SharingState {
  const here = network();
  const { devices } = folder === null ? { devices: [] } : readSharing(folder);
  return {
    isPossible: here !== null,
    isOn: here?.isOn() ?? false,
    addresses: here?.isOn() ? here.addresses() : [],
    isSecure: here?.isSecure ?? false,
    devices: devices.map(({ secretHash: _, ...device }) => device),
  };
}

/** @throws Problem 409 where it can't be served */
export async function setSharing(workshop: Workshop, isOn: boolean): Promise<SharingState> {
  const [here, folder] = served(workshop);
  if (isOn) {
    try {
      await here.start();
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      throw new Problem(409, 'no-network', `The local network can’t be served: ${why}.`);
    }
  } else here.stop();
  writeSharing(folder, { ...readSharing(folder), isOn });
  return sharingState(workshop);
}

/** @throws Problem 409 while nothing is served to the network */
export function invite(workshop: Workshop) {
  const [here] = served(workshop);
  if (!here.isOn()) throw new Problem(409, 'no-network', 'Let the network in first.');
  return here.invite();
}

/** @throws Problem 404 */
export function setDevice(workshop: Workshop, id: string, may: Device['may']): SharingState {
  return changeDevice(workshop, id, (device) => [{ ...device, may }]);
}

/** An instrument of the network, with what it says of itself when it sends: shown once, and kept as a hash. */
export interface LetInInstrument {
  device: ShownDevice;
  /** Sent as `Authorization: Bearer …`. */
  token: string;
}

/** Lets an instrument of the network send readings, and nothing else. @throws Problem 409 */
export function letInInstrument(workshop: Workshop, name: string): LetInInstrument {
  const [, folder] = served(workshop);
  const secret = newSecret();
  const device: ShownDevice = { id: workshop.newId(), name, may: 'send', letInAt: workshop.now() };
  const sharing = readSharing(folder);
  const devices = [...sharing.devices, { ...device, secretHash: hashOf(secret) }];
  writeSharing(folder, { ...sharing, devices });
  return { device, token: `${device.id}.${secret}` };
}

/** From now on it is refused, whatever it holds. @throws Problem 404 */
export function removeDevice(workshop: Workshop, id: string): SharingState {
  return changeDevice(workshop, id, () => []);
}

function changeDevice(workshop: Workshop, id: string, change: (device: Device) => Device[]): SharingState {
  const [here, folder] = served(workshop);
  const sharing = readSharing(folder);
  if (!sharing.devices.some((device) => device.id === id)) throw notFound('device', id);
  const devices = sharing.devices.flatMap((device) => (device.id === id ? change(device) : [device]));
  writeSharing(folder, { ...sharing, devices });
  here.dropAll();
  return sharingState(workshop);
}

function served({ folder }: Workshop): [Network, string] {
  const here = network();
  if (!here || folder === null)
    throw new Problem(409, 'no-network', 'This server can’t serve the network. Start it with npm start.');
  return [here, folder];
}
