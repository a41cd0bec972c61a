import { use } from 'react';
import type { Found } from '../../core/checks/finding';
import type { Described } from '../../words/en/findings/described';
import { findingWords } from '../../words/en/findings/findingWords';
import { useShowing } from './showing';

/** A finding in words; what draws it waits until they are loaded. */
export function useDescribed(found: Found): Described {
  const showing = useShowing();
  return use(findingWords(found.code))(found, showing);
}
