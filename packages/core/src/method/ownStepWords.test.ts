import { ownStepWords } from './ownStepWords';
import type { OwnStep } from './ownStep';

const names = {
  dye: (id: string) => (id === 'd1' ? 'Vault Blue' : null),
  acid: (id: string) => (id === 'acid1' ? 'white vinegar' : null),
};

test.each<[OwnStep, string]>([
  [{ do: 'water', sharePercent: 100 }, 'Run the water.'],
  [{ do: 'water', sharePercent: 40 }, 'Run 40 % of the water.'],
  [{ do: 'dye', lineId: null }, 'Put a dose of every dye in.'],
  [{ do: 'dye', lineId: 'd1' }, 'Put a dose of Vault Blue in.'],
  [{ do: 'dye', lineId: 'gone' }, 'Put a dose of a dye that is no longer here in.'],
  [{ do: 'acid', acidId: 'acid1' }, 'Add white vinegar.'],
  [{ do: 'acid', acidId: 'gone' }, 'Add an acid dose that is no longer here.'],
  [{ do: 'goods in', sharePercent: 100 }, 'Lay the goods in.'],
  [{ do: 'goods in', sharePercent: 60 }, 'Hang the goods in, 60 % of the length.'],
  [{ do: 'lift' }, 'Lift the goods out.'],
  [{ do: 'turn' }, 'Turn the goods.'],
  [{ do: 're-tie' }, 'Tie the goods anew.'],
  [{ do: 'heat', temperatureC: 82 }, 'Heat to 82 °C.'],
  [{ do: 'hold', minutes: 20, untilClear: true }, 'Hold it hot until the bath clears, about 20 min.'],
  [{ do: 'stand', minutes: 90, untilClear: false }, 'Leave it to stand 1 h 30 min.'],
])('%j', (step, words) => expect(ownStepWords(step, names)).toBe(words));
