import { createContext } from 'react';
import type { SpoonSystem } from '@ythrion/core';

/** Whose spoons and cups a bare `tsp` or `cup` means, in every field of an amount. */
export const StudioSpoons = createContext<SpoonSystem>('US');
