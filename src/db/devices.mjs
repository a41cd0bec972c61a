// Plain JavaScript: the process that lets devices in reads it before anything is built.
import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * A device of one's own network that was let in.
 *
 * @typedef {object} Device
 * @property {string} id
 * @property {string} name as its user calls it
 * @property {string} secretHash of the secret that only the device has, SHA-256, hexadecimal
 * @property {'bench' | 'all' | 'send'} may work at the bench and read, what the owner may at this machine, or only send
 *   readings, as an instrument does
 * @property {string} letInAt ISO 8601
 */

/** Beside the database, and in no copy: a copy that is brought back lets nobody in. */
export const DEVICES_FILE = 'devices.json';

/**
 * @typedef {object} Sharing
 * @property {boolean} isOn whether the workshop is served to the local network, too
 * @property {Device[]} devices
 */

/**
 * @param {string} folder of the workshop
 * @returns {Sharing} nobody, and off, where the file is not there or can't be read
 */
export function readSharing(folder) {
  try {
    const { isOn, devices } = JSON.parse(readFileSync(join(folder, DEVICES_FILE), 'utf8'));
    return { isOn: isOn === true, devices: Array.isArray(devices) ? devices : [] };
  } catch {
    return { isOn: false, devices: [] };
  }
}

/**
 * @param {string} folder
 * @param {Sharing} sharing
 */
export function writeSharing(folder, sharing) {
  const path = join(folder, DEVICES_FILE);
  writeFileSync(`${path}.part`, `${JSON.stringify(sharing, null, 2)}\n`, { mode: 0o600 });
  renameSync(`${path}.part`, path);
}

/** @param {string} folder */
export function forgetDevices(folder) {
  rmSync(join(folder, DEVICES_FILE), { force: true });
}

/** 192 random bits: nothing that can be guessed, and short enough for a small code. */
export function newSecret() {
  return randomBytes(24).toString('base64url');
}

/** @param {string} secret */
export function hashOf(secret) {
  return createHash('sha256').update(secret).digest('hex');
}

/**
 * Whether a secret is the one that was hashed; takes as long for any.
 *
 * @param {string} secret
 * @param {string} hash
 */
export function isSecretOf(secret, hash) {
  const [given, known] = [Buffer.from(hashOf(secret), 'hex'), Buffer.from(hash, 'hex')];
  return given.length === known.length && timingSafeEqual(given, known);
}
