import {
  BookOpenText,
  Box,
  FlaskConical,
  House,
  Library,
  ListChecks,
  Package,
  Scale,
  SquareStack,
} from 'lucide-react';

/** Pages that hang on a station of another address. */
const HANGS_ON: readonly (readonly [page: string, station: string])[] = [
  ['/purchases', '/shelf'],
  ['/trace', '/shelf'],
];

/** The address of the station that a page belongs to, or begins with. */
export function stationOf(pathname: string): string {
  return HANGS_ON.find(([page]) => pathname === page || pathname.startsWith(`${page}/`))?.[1] ?? pathname;
}

/** The stations that exist, in the order of the work. */
export const STATIONS = [
  { name: 'Today', href: '/', icon: House },
  { name: 'Plans', href: '/plans', icon: SquareStack },
  { name: 'Molds', href: '/molds', icon: Box },
  { name: 'Shelf', href: '/shelf', icon: FlaskConical },
  { name: 'Bench', href: '/bench', icon: Scale },
  { name: 'Rack', href: '/rack', icon: Library },
  { name: 'Logbook', href: '/log', icon: BookOpenText },
  { name: 'Products', href: '/products', icon: Package },
  { name: 'House rules', href: '/house-rules', icon: ListChecks },
] as const;
