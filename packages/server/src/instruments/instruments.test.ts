import type http from 'node:http';
import type { AddressInfo } from 'node:net';
import request from 'supertest';
import { listen } from '../../test/live';
import { added, eventOf } from '../../test/records';
import { begin, testStudio, type TestStudio } from '../../test/studio';
import { SimulatedPhMeter } from './simulatedPhMeter';
import { SimulatedScale } from './simulatedScale';

const settle = (scale: SimulatedScale, readings = 60): { grams: number; stable: boolean } => {
  let last = scale.step();
  for (let i = 0; i < readings && !last.stable; i += 1) last = scale.step();
  return last;
};

describe('the simulated scale', () => {
  test('shoots past a new load, comes back, and stands still', () => {
    const scale = new SimulatedScale('a');
    scale.lay(2);
    const shown = Array.from({ length: 60 }, () => scale.step());
    const end = shown.at(-1)!;
    expect(end.stable).toBe(true);
    expect(Math.max(...shown.map(({ grams }) => grams))).toBeGreaterThan(end.grams + 0.01);
    expect(shown.slice(0, 5).some(({ stable }) => stable)).toBe(false);
  });
  test('the hand lands within a quarter of where it aims, and not on it', () => {
    const landed = Array.from({ length: 20 }, (_, i) => {
      const scale = new SimulatedScale(`hand-${i}`);
      scale.lay(2);
      return settle(scale).grams;
    });
    for (const grams of landed) {
      expect(grams).toBeGreaterThan(1.45);
      expect(grams).toBeLessThan(2.55);
    }
    expect(new Set(landed).size).toBeGreaterThan(10);
  });
  test('tare makes it zero and later loads count from there', () => {
    const scale = new SimulatedScale('b');
    scale.lay(50);
    settle(scale);
    scale.tare();
    expect(Math.abs(settle(scale).grams)).toBeLessThanOrEqual(0.02);
    scale.lay(2);
    const { grams } = settle(scale);
    expect(grams).toBeGreaterThan(1.4);
    expect(grams).toBeLessThan(2.6);
  });
  test('shows whole graduations, drifts when left alone, and weighs alike for the same seed', () => {
    const one = new SimulatedScale('c');
    const other = new SimulatedScale('c');
    const shown = Array.from({ length: 20_000 }, () => one.step().grams);
    expect(shown.every((grams) => Math.abs(grams * 100 - Math.round(grams * 100)) < 1e-9)).toBe(true);
    expect(new Set(shown).size).toBeGreaterThan(2);
    expect(Array.from({ length: 20_000 }, () => other.step().grams)).toEqual(shown);
  });
});

describe('the simulated pH meter', () => {
  test('comes slowly to the bath’s pH, a little off, and stands still there', () => {
    const meter = new SimulatedPhMeter(4.4, 'batch');
    const shown = Array.from({ length: 80 }, () => meter.step());
    expect(shown[0]!.pH).toBeGreaterThan(6);
    expect(shown[0]!.stable).toBe(false);
    expect(shown.at(-1)!.stable).toBe(true);
    expect(Math.abs(shown.at(-1)!.pH - 4.4)).toBeLessThan(0.15);
  });
});

describe('over HTTP', () => {
  let studio: TestStudio;
  let server: http.Server;
  let url: string;
  beforeEach(async () => {
    studio = await testStudio();
    server = studio.app.listen(0, '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  });
  afterEach(async () => {
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
    await studio.remove();
  });

  /** The first readings of an instrument. */
  const events = async (name: string, count: number): Promise<Record<string, unknown>[]> => {
    const live = listen(url, { listen: [name] });
    const found = await live.until('reading', count);
    live.cut();
    expect(found.every(({ instrument }) => instrument === name)).toBe(true);
    return found.map(({ reading }) => reading as Record<string, unknown>);
  };

  test('the scale streams, takes what the hand lays on, is tared and cleared', async () => {
    expect(await events('scale', 2)).toEqual([
      { grams: expect.any(Number) as number, stable: false },
      { grams: expect.any(Number) as number, stable: false },
    ]);
    await request(studio.app).post('/api/instruments/scale/hand').send({ grams: 20 }).expect(200);
    const loaded = await events('scale', 12);
    expect(loaded.at(-1)!.grams as number).toBeGreaterThan(10);
    await request(studio.app).post('/api/instruments/scale/tare').expect(200);
    await request(studio.app).post('/api/instruments/scale/hand').send({ grams: null }).expect(200);
  });
  test('a hand that lays on nonsense is refused in a sentence', async () => {
    const { body } = await request(studio.app)
      .post('/api/instruments/scale/hand')
      .send({ grams: 'a lot' })
      .expect(400);
    expect(body.message).toMatch(/A hand lays grams on the scale/);
  });
  test('the meter reads the bath of a batch, and more acid makes it read lower', async () => {
    await request(studio.app).post('/api/batches').send(begin('b1')).expect(201);
    const read = async (): Promise<number> => (await events('ph:b1', 30)).at(-1)!.pH as number;
    const before = await read();
    await request(studio.app)
      .post('/api/batches/b1/events')
      .send(
        eventOf(
          'b1',
          added('e1', {
            material: { kind: 'acid', acid: 'citric', strengthPercent: 100 },
            amount: 40,
            unit: 'g',
          }),
        ),
      )
      .expect(201);
    expect(await read()).toBeLessThan(before - 1);
    expect(await events('ph:ghost', 1)).toEqual([null]);
    expect(await events('thermometer', 1)).toEqual([null]);
  });
});
