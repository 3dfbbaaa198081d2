import { lazy, Suspense } from 'react';
import { Route, Routes } from 'react-router';
import { Waiting } from '../parts/Waiting';
import { Frame } from './Frame';
import { Home } from './Home';
import { Lost } from '../parts/Lost';
import { Paired } from './Paired';

const QuickPour = lazy(async () => ({ default: (await import('../pour/QuickPourScreen')).QuickPourScreen }));
const Colorways = lazy(async () => ({
  default: (await import('../colorways/ColorwaysScreen')).ColorwaysScreen,
}));
const StartSeveral = lazy(async () => ({
  default: (await import('../colorways/StartSeveralScreen')).StartSeveralScreen,
}));
const Order = lazy(async () => ({ default: (await import('../colorways/OrderScreen')).OrderScreen }));
const Attempts = lazy(async () => ({
  default: (await import('../colorways/AttemptsScreen')).AttemptsScreen,
}));
const Formulation = lazy(async () => ({
  default: (await import('../colorways/FormulationScreen')).FormulationScreen,
}));
const Book = lazy(async () => ({ default: (await import('../book/BookScreen')).BookScreen }));
const Remember = lazy(async () => ({ default: (await import('../book/RememberScreen')).RememberScreen }));
const Batch = lazy(async () => ({ default: (await import('../book/BatchScreen')).BatchScreen }));
const DyeAgain = lazy(async () => ({
  default: (await import('../book/again/DyeAgainScreen')).DyeAgainScreen,
}));
const StartStudio = lazy(async () => ({
  default: (await import('../shelf/StartStudioScreen')).StartStudioScreen,
}));
const Shelf = lazy(async () => ({ default: (await import('../shelf/ShelfScreen')).ShelfScreen }));
const Pots = lazy(async () => ({ default: (await import('../pots/PotsScreen')).PotsScreen }));
const StartPot = lazy(async () => ({ default: (await import('../pots/StartPotScreen')).StartPotScreen }));
const Cup = lazy(async () => ({ default: (await import('../cups/CupScreen')).CupScreen }));
const PourCard = lazy(async () => ({ default: (await import('../pots/PourCardScreen')).PourCardScreen }));

/** Every place, each loaded when first opened. */
export function Screens() {
  return (
    <Suspense fallback={<Waiting />}>
      <Routes>
        <Route path="/" element={<Frame />}>
          <Route index element={<Home />} />
          <Route path="pair" element={<Paired />} />
          <Route path="pour" element={<QuickPour />} />
          <Route path="colorways" element={<Colorways />} />
          <Route path="colorways/start" element={<StartSeveral />} />
          <Route path="colorways/order" element={<Order />} />
          <Route path="colorways/sought/:id" element={<Attempts />} />
          <Route path="colorways/:id" element={<Formulation />} />
          <Route path="book" element={<Book />} />
          <Route path="book/remember" element={<Remember />} />
          <Route path="book/:id" element={<Batch />} />
          <Route path="book/:id/again" element={<DyeAgain />} />
          <Route path="shelf/start" element={<StartStudio />} />
          <Route path="shelf/:resource?/:id?" element={<Shelf />} />
          <Route path="pots" element={<Pots />} />
          <Route path="pots/new" element={<StartPot />} />
          <Route path="pots/cup/:id" element={<Cup />} />
          <Route path="pots/:id" element={<PourCard />} />
          <Route path="*" element={<Lost />} />
        </Route>
      </Routes>
    </Suspense>
  );
}
