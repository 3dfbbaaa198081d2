// Tests in the order in which they were named.
import TestSequencer from '@jest/test-sequencer';

/** @type {any} the package is CommonJS: what it gives may stand one deeper */
const given = TestSequencer;
const Base = given.default ?? given;

export default class InTurn extends Base {
  /** @param {{ path: string }[]} tests */
  sort(tests) {
    const order = (process.env.YTHRION_ORDER ?? '').split('\n');
    return tests.toSorted((one, other) => order.indexOf(one.path) - order.indexOf(other.path));
  }
}
