import type { Pot } from './pot';

/** Vessels that stand in most studios, each put on the shelf by one tap (common practice, no source). */
export const USUAL_POTS: readonly Pick<Pot, 'name' | 'kind' | 'capacityMl' | 'powerWatts'>[] = [
  { name: 'Stock pot', kind: 'pot', capacityMl: 12_000, powerWatts: 1800 },
  { name: 'Small pot', kind: 'pot', capacityMl: 6000, powerWatts: 1500 },
  { name: 'Slow cooker', kind: 'slow cooker', capacityMl: 6000, powerWatts: 300 },
  { name: 'Low pan', kind: 'pan', capacityMl: 13_000, powerWatts: 1800 },
  { name: 'Steamer', kind: 'steamer', capacityMl: 12_000, powerWatts: 1800 },
  { name: 'Tub', kind: 'tub', capacityMl: 10_000, powerWatts: null },
  { name: 'Tray', kind: 'tray', capacityMl: 8000, powerWatts: null },
  { name: 'Rack', kind: 'rack', capacityMl: 8000, powerWatts: null },
  { name: 'Oven', kind: 'oven', capacityMl: 40_000, powerWatts: 2000 },
  { name: 'Microwave', kind: 'microwave', capacityMl: 20_000, powerWatts: 800 },
];
