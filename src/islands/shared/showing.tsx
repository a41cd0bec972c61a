import { type ComponentType, createContext, useContext } from 'react';
import type { Showing } from '../../core/units/showQuantity';

const ShowingContext = createContext<Showing | null>(null);

/**
 * The units and the language that a page shows its figures in.
 *
 * @throws Error outside an island that is given them
 */
export function useShowing(): Showing {
  const showing = useContext(ShowingContext);
  if (!showing) throw new Error('no units are given here');
  return showing;
}

/** An island that is given what it shows its figures in, for itself and everything within. */
export function withShowing<Props extends object>(Island: ComponentType<Props>) {
  return function Shown({ showing, ...props }: Props & { showing: Showing }) {
    return (
      <ShowingContext value={showing}>
        <Island {...(props as unknown as Props)} />
      </ShowingContext>
    );
  };
}
