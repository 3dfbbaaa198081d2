import type { NewEvent } from '../newEvent';
import type { Alteration } from './alterationSchema';
import type { AlteredFor } from './alteredFor';

/** A change of what is still to come, as an event; what is left out stays as it was. */
export const altered = (why: AlteredFor, change: Partial<Omit<Alteration, 'why'>>): NewEvent => ({
  kind: 'altered',
  change: {
    about: '',
    minutes: null,
    out: [],
    instead: [],
    lines: [],
    before: null,
    passes: [],
    goods: [],
    bases: [],
    dyes: [],
    stocks: [],
    pot: null,
    set: null,
    ...change,
    why,
  },
});
