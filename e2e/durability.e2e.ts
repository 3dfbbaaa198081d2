import { expect, test } from '@playwright/test';
import { startApplication } from './application';

test('kill -9 in the middle of ticking pours: every acknowledged tick is there after the restart', async ({
  request,
}) => {
  test.setTimeout(120_000);
  const application = await startApplication('demo');
  try {
    const batch = `${application.url}/api/batches/b15-angelus`;
    const before = ((await (await request.get(batch)).json()) as { entries: { id: string }[] }).entries.map(
      (entry) => entry.id,
    );
    const acknowledged: string[] = [];
    for (let round = 0; round < 3; round += 1) {
      let running = true;
      const ticking = Promise.all(
        [0, 1, 2, 3].map(async (hand) => {
          for (let i = 0; running; i += 1) {
            const id = `tick-${round}-${hand}-${i}`;
            const material = {
              kind: 'dye',
              dyeId: 'vault-blue',
              stockId: 'vault-blue-1',
              strengthPercent: 1,
            };
            const data = { id, at: new Date().toISOString(), kind: 'added', material, amount: 1, unit: 'mL' };
            const answer = await request.post(`${batch}/entries`, { data }).catch(() => null);
            if (!answer?.ok()) return;
            acknowledged.push(id);
          }
        }),
      );
      // Killed in the middle: four hands go on ticking until the server is gone.
      await expect
        .poll(() => acknowledged.length, { timeout: 30_000, intervals: [5] })
        .toBeGreaterThanOrEqual((round + 1) * 8);
      await application.kill();
      running = false;
      await ticking;
      await application.restart();
    }
    const { entries } = (await (await request.get(batch)).json()) as { entries: { id: string }[] };
    const kept = new Set(entries.map((entry) => entry.id));
    expect(acknowledged.length).toBeGreaterThan(20);
    expect([...before, ...acknowledged].filter((id) => !kept.has(id))).toEqual([]);
    expect(entries.length).toBeLessThanOrEqual(before.length + acknowledged.length + 12);
    const { stockLeft } = (await (await request.get(`${application.url}/api/shelf`)).json()) as {
      stockLeft: Record<string, number>;
    };
    const ticks = entries.filter((entry) => entry.id.startsWith('tick-')).length;
    const fresh = await startApplication('demo');
    const first = (await (await request.get(`${fresh.url}/api/shelf`)).json()) as {
      stockLeft: Record<string, number>;
    };
    await fresh.remove();
    expect((first.stockLeft['vault-blue-1'] ?? 0) - (stockLeft['vault-blue-1'] ?? 0)).toBeCloseTo(ticks, 6);
  } finally {
    await application.remove();
  }
});
