import type { Colorway } from '@ythrion/core';
import { draftReducer, type DraftState } from './draftHistory';

const named = (name: string): Colorway => ({ name }) as Colorway;
const start = (): DraftState => ({
  base: named('a'),
  past: [],
  present: named('a'),
  future: [],
  tag: '',
  at: 0,
  turned: 0,
});
const put = (state: DraftState, name: string, tag = name, at = 0): DraftState =>
  draftReducer(state, { kind: 'put', update: () => named(name), tag, at });

test('every change can be taken back and brought again', () => {
  const after = put(put(start(), 'b'), 'c');
  const once = draftReducer(after, { kind: 'undo' });
  expect(once.present.name).toBe('b');
  expect(draftReducer(once, { kind: 'undo' }).present.name).toBe('a');
  expect(draftReducer(once, { kind: 'redo' }).present.name).toBe('c');
});

test('typing on in one field is one step; a pause or another field is the next', () => {
  const typed = put(put(put(start(), 'b', 'depth', 1000), 'bc', 'depth', 1500), 'bcd', 'depth', 2000);
  expect(draftReducer(typed, { kind: 'undo' }).present.name).toBe('a');
  const paused = put(typed, 'bcde', 'depth', 9000);
  expect(draftReducer(paused, { kind: 'undo' }).present.name).toBe('bcd');
  const other = put(typed, 'x', 'count', 2100);
  expect(draftReducer(other, { kind: 'undo' }).present.name).toBe('bcd');
});

test('what is done and not typed is a step of its own, however quick it comes', () => {
  const moved = put(put(start(), 'b', '', 1000), 'c', '', 1100);
  expect(draftReducer(moved, { kind: 'undo' }).present.name).toBe('b');
});

test('a change after going back forgets what came after; nothing to take back changes nothing', () => {
  const back = draftReducer(put(put(start(), 'b'), 'c'), { kind: 'undo' });
  const anew = put(back, 'd');
  expect(draftReducer(anew, { kind: 'redo' })).toBe(anew);
  const first = start();
  expect(draftReducer(first, { kind: 'undo' })).toBe(first);
});

test('taking up a saved version starts over', () => {
  const taken = draftReducer(put(start(), 'b'), { kind: 'take up', saved: named('z') });
  expect([taken.present.name, taken.base.name, taken.past.length]).toEqual(['z', 'z', 0]);
});

test('changes on their way at once each build on the one before', () => {
  const append = (state: DraftState, text: string): DraftState =>
    draftReducer(state, { kind: 'put', update: (now) => named(now.name + text), tag: text, at: 0 });
  expect(append(append(start(), 'b'), 'c').present.name).toBe('abc');
});

test('another version in the place of what stands can be brought back', () => {
  const opened = draftReducer(put(start(), 'b'), { kind: 'open', saved: named('z') });
  expect([opened.present.name, opened.base.name]).toEqual(['z', 'z']);
  expect(draftReducer(opened, { kind: 'undo' }).present.name).toBe('b');
});
