import { Cursor } from './cursor';

test('answers that come before the stream: the earliest counts, for what came after it may be missing in the other', () => {
  const cursor = new Cursor();
  expect(cursor.now()).toBeNull();
  cursor.seed(null);
  cursor.seed('12:b');
  cursor.seed('9:a');
  cursor.seed('100:c');
  expect(cursor.now()).toBe('9:a');
});

test('once the stream runs, it alone says where it is', () => {
  const cursor = new Cursor();
  cursor.seed('9:a');
  cursor.move('20:d');
  cursor.seed('5:x');
  expect(cursor.now()).toBe('20:d');
});
