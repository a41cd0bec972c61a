import { useEffect, useState } from 'react';

const KEY = 'tallow.doses-of-all-pours';
/** Narrower screens have a tab a pour. */
const WIDE = '(min-width: 1024px)';

/** Whether the doses of all pours are shown at once, as this browser did last; one pour has nothing beside it. */
export function useAllPours(pours: number): [boolean, (isAll: boolean) => void] {
  const [isAll, setAll] = useState(() => localStorage.getItem(KEY) !== null);
  const [isWide, setWide] = useState(() => matchMedia(WIDE).matches);
  useEffect(() => {
    const media = matchMedia(WIDE);
    const follow = () => setWide(media.matches);
    media.addEventListener('change', follow);
    return () => media.removeEventListener('change', follow);
  }, []);
  return [
    isAll && isWide && pours > 1,
    (next) => {
      setAll(next);
      if (next) localStorage.setItem(KEY, '1');
      else localStorage.removeItem(KEY);
    },
  ];
}
