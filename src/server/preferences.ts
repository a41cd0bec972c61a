import type { AstroCookies } from 'astro';
import type { Showing, UnitSystem } from '../core/units/showQuantity';
import { workshop } from './workshop';

export const THEMES = ['enamel-day', 'enamel-night'] as const;

/** How this browser shows things: its own locale, and the units and theme that were chosen in it. */
export interface Preferences {
  showing: Showing;
  /** undefined: as the system says. */
  theme: (typeof THEMES)[number] | undefined;
}

export function preferencesOf(
  request: Request,
  cookies: AstroCookies,
  usualUnits = unitsOfTheHouse,
): Preferences {
  const known = KNOWN.get(request);
  if (known) return known;
  const preferences = readPreferences(request, cookies, usualUnits);
  KNOWN.set(request, preferences);
  return preferences;
}

/** Every part of a page asks. */
const KNOWN = new WeakMap<Request, Preferences>();

function readPreferences(request: Request, cookies: AstroCookies, usualUnits: () => UnitSystem): Preferences {
  const units = cookies.get('units')?.value;
  const system = units === 'us' || units === 'metric' ? units : usualUnits();
  const chosen = cookies.get('theme')?.value;
  return {
    showing: { system, locale: localeOf(request.headers.get('accept-language')) },
    theme: THEMES.find((theme) => theme === chosen),
  };
}

/** What a browser shows in which nothing was chosen yet. */
function unitsOfTheHouse(): UnitSystem {
  try {
    return workshop().houseRules.read().item.units;
  } catch {
    return 'metric';
  }
}

const FALLBACK_LOCALE = 'en-GB';

/** The first tag of an Accept-Language header that this server can format for. */
function localeOf(accepted: string | null): string {
  const tag = accepted?.split(',')[0]?.split(';')[0]?.trim() ?? '';
  const known = LOCALES.get(tag);
  if (known) return known;
  const locale = supported(tag);
  // Tags come from outside: no more of them are kept than there are languages.
  if (LOCALES.size < MOST_LOCALES) LOCALES.set(tag, locale);
  return locale;
}

const LOCALES = new Map<string, string>();
const MOST_LOCALES = 500;

function supported(tag: string): string {
  try {
    return Intl.NumberFormat.supportedLocalesOf(tag)[0] ?? FALLBACK_LOCALE;
  } catch {
    return FALLBACK_LOCALE;
  }
}
