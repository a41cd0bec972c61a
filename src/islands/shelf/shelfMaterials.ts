import { createContext, useContext } from 'react';
import type { Material } from '../../core/materials/material';

/** Every material of the shelf, for the fields that look others up. */
export const ShelfMaterials = createContext<readonly Material[]>([]);

export function useShelf(): readonly Material[] {
  return useContext(ShelfMaterials);
}
