import { listed, plural } from '../plural';
import type { Describe } from './described';

export const dyeBleeds: Describe<'dye-bleeds'> = ({ about, against, unknown }) => {
  const pours = `${plural(against.length, 'pour', 'pours')} ${listed(against)}`;
  return {
    title: unknown ? `Cannot tell whether ${about} bleeds` : `${about} will bleed into ${pours}`,
    reason: unknown
      ? `It lies against ${pours} of another colour. The shelf does not know whether it stays in place.`
      : 'Liquid dyes move into a layer of another colour. A mica or pigment stays where it is.',
    fixLabel: null,
  };
};
