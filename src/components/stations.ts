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
