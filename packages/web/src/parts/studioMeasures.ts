import { createContext } from 'react';
import { USUAL_MEASURES, type Measures } from '@ythrion/core';

/** By whose spoons and in which measures amounts are read and said, everywhere. */
export const StudioMeasures = createContext<Measures>(USUAL_MEASURES);
