/** The room a bar stands in. */
export interface Room {
  tempC: number;
  /** Relative humidity, 0 to 1. */
  humidity: number;
}

const ZERO_C_K = 273.15;
const STEFAN_BOLTZMANN = 5.670374419e-8;
const VAPOUR_GAS_CONSTANT = 461.5;

/** Saturation pressure of water, Pa (Magnus form; D. Sonntag, 1990). */
export function saturationPa(tempC: number): number {
  return 611.2 * Math.exp((17.62 * tempC) / (243.12 + tempC));
}

/** Temperature at which the room's vapour condenses, °C: the Magnus form turned round. */
export function dewPointC({ tempC, humidity }: Room): number {
  if (!(humidity > 0)) throw new RangeError('dry air has no dew point');
  const logarithm = Math.log(humidity) + (17.62 * tempC) / (243.12 + tempC);
  return (243.12 * logarithm) / (17.62 - logarithm);
}

export function vapourDensityKgM3(tempC: number, share: number): number {
  return (share * saturationPa(tempC)) / (VAPOUR_GAS_CONSTANT * (tempC + ZERO_C_K));
}

/** Natural convection over a warm plate, W/m²K; a length is area over perimeter. Common engineering form, from memory. */
export function convectionWM2K(deltaK: number, lengthM: number): number {
  return 1.32 * Math.sqrt(Math.sqrt(Math.abs(deltaK) / lengthM));
}

const EMISSIVITY = 0.93;

export function radiationWM2(surfaceC: number, roomC: number): number {
  const surface = (surfaceC + ZERO_C_K) * (surfaceC + ZERO_C_K);
  const room = (roomC + ZERO_C_K) * (roomC + ZERO_C_K);
  return EMISSIVITY * STEFAN_BOLTZMANN * (surface * surface - room * room);
}

const AIR_DENSITY = 1.15;
const AIR_HEAT_CAPACITY = 1007;
const LEWIS_TO_TWO_THIRDS = 0.9;
const VAPORISATION_J_KG = 2.42e6;

/** How fast water goes through the air at a surface, m/s, by what heat does (the Lewis analogy). */
export function vapourTransferMS(filmWM2K: number): number {
  return filmWM2K / (AIR_DENSITY * AIR_HEAT_CAPACITY * LEWIS_TO_TWO_THIRDS);
}

/** A free surface of soap: how much water leaves it. */
export interface Evaporating {
  /** Our own tuning against practice. */
  multiplier: number;
  waterActivity: number;
}

export const USUAL_EVAPORATION: Evaporating = { multiplier: 0.5, waterActivity: 0.58 };

/**
 * Heat that leaves a free surface, W/m²: convection, radiation, and evaporation by the Lewis analogy, which fades as a
 * skin forms.
 *
 * @param liquid share of the surface that is liquid, 0 to 1
 */
export function surfaceLossWM2(
  surfaceC: number,
  room: Room,
  lengthM: number,
  liquid: number,
  { multiplier, waterActivity }: Evaporating = USUAL_EVAPORATION,
): number {
  const film = convectionWM2K(surfaceC - room.tempC, lengthM);
  const vapour = vapourDensityKgM3(surfaceC, waterActivity) - vapourDensityKgM3(room.tempC, room.humidity);
  return (
    film * (surfaceC - room.tempC) +
    radiationWM2(surfaceC, room.tempC) +
    multiplier * (0.1 + 0.9 * liquid) * vapourTransferMS(film) * VAPORISATION_J_KG * vapour
  );
}
