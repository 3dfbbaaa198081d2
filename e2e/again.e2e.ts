import { expect, test } from '@playwright/test';
import {
  amountOf,
  doneAct,
  formulate,
  goodsThen,
  foldRecord,
  recipeSchema,
  type Batch,
  type CardAct,
  type ShelfResponse,
} from '@ythrion/core';
import { startApplication, type Application, OWN } from './application';

let application: Application;
test.beforeAll(async () => {
  application = await startApplication('demo');
});
test.afterAll(() => application.remove());

let count = 0;
/** An entry of a batch as a device sends it. */
const entry = (batch: string, of: object): object => {
  count += 1;
  const at = new Date().toISOString();
  const stamp = { version: 1, id: `again-e${count}`, device: 'again', count, person: null, at, clockAt: at };
  return { ...stamp, of: { kind: 'batch', id: batch }, ...of };
};

test('four lines of goods, two acid times, a top-up, a late skein, a step never ticked: closed, answered, dyed again', async ({
  page,
}) => {
  const api = `${application.url}/api`;
  const get = async <T>(path: string): Promise<T> =>
    (await page.request.get(api + path)).json() as Promise<T>;
  const post = async <T>(path: string, data: object): Promise<T> => {
    const answer = await page.request.post(api + path, { data, headers: OWN });
    expect(answer.status(), await answer.text()).toBe(201);
    return answer.json() as Promise<T>;
  };
  const shelf = await get<ShelfResponse>('/shelf');
  const [a, b] = shelf.bases;
  if (!a || !b) throw new Error('no bases');
  const vinegar = { material: 'vinegar', strengthPercent: 5, basis: 'amount', value: 120 };
  const recipe = recipeSchema.parse({
    goods: [
      { id: 'g1', baseId: a.id, count: 1, gramsEach: 100 },
      { id: 'g2', baseId: b.id, count: 2, gramsEach: 50 },
      { id: 'g3', baseId: a.id, count: 1, gramsEach: 50 },
      { id: 'g4', baseId: b.id, count: 1, gramsEach: 50 },
    ],
    wettingMinutes: 30,
    passes: [
      {
        id: 'p1',
        method: { kind: 'immersion' },
        dyes: [
          { id: 'd1', dyeId: 'vault-blue', entry: { school: 'depth', percent: 1 }, stockId: 'vault-blue-1' },
        ],
        water: { basis: 'ratio', value: 25 },
        acids: [
          { ...vinegar, when: 'start' },
          { ...vinegar, when: 'last' },
        ],
        heat: { temperatureC: 85, minutes: 20 },
      },
    ],
    set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 60 },
  });
  const tom = shelf.pots.toSorted((one, other) => other.capacityMl - one.capacityMl)[0] ?? null;
  const batch = await post<Batch>('/batches', {
    ...{ id: 'four-lines', name: 'Four lines', startedAt: new Date().toISOString() },
    formulation: formulate('Four lines', recipe, { ...shelf, tools: [] }, tom),
  });
  const ticked = (line: CardAct) =>
    entry(batch.id, { kind: 'act', planned: line.id, act: doneAct(line.act), written: '', note: '' });
  const unplanned = (act: object) =>
    entry(batch.id, { kind: 'act', planned: null, act, written: '', note: '' });
  const brought = batch.card.acts.find(({ act }) => act.kind === 'bring' && act.thing.kind === 'goods')?.act;
  const common = { pass: 'p1', line: null, purpose: null };
  for (const line of batch.card.acts.filter(({ quiet }) => !quiet)) {
    // The hold of the pass is not ticked, nor what comes after the late acid.
    if (line.id === 'p1.hold') {
      for (const act of [
        { ...brought, line: 'late' },
        { kind: 'place', ...common, goods: ['late'], vessel: 'pot', reach: null, lies: null, wet: true },
        { kind: 'run', ...common, purpose: 'unplanned', vessel: 'pot', ml: 500, celsius: null },
      ])
        await post(`/batches/${batch.id}/events`, unplanned(act));
      continue;
    }
    await post(`/batches/${batch.id}/events`, ticked(line));
    if (line.act.purpose === 'late') break;
  }

  await page.goto(`${application.url}/pots/${batch.id}`, { waitUntil: 'networkidle' });
  await page.getByRole('button', { name: 'Close without ticking the rest …' }).click();
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(
    verdict
      .getByRole('group', { name: 'Hold at 85 °C until the bath clears' })
      .getByRole('button', { name: 'done as planned' }),
  ).toHaveAttribute('aria-pressed', 'true');
  await verdict.getByRole('button', { name: 'as wanted' }).click();
  await verdict.getByRole('button', { name: 'Close the batch' }).click();
  await expect(page.getByText(/^Not ticked, but done as planned: Hold at 85 °C/)).toBeVisible();
  const summed = page.getByRole('region', { name: 'Immersion' });
  await expect(summed.getByText('Add white vinegar to the bath')).toBeVisible();
  await expect(summed.getByText('Add white vinegar to the hot, level bath')).toBeVisible();
  await expect(summed.getByText('Topped up with water')).toBeVisible();

  await page.getByRole('link', { name: 'Dye again' }).click();
  const goods = page.getByRole('table', { name: 'Old and new amounts' });
  const steps = page.getByRole('table', { name: 'Old and new steps' });
  // Four lines and the late skein; 300 g and 100 g, of which everything was dyed.
  await expect(goods.getByRole('row', { name: /100 g.*100 g|50 g.*50 g/ })).toHaveCount(5);
  // 1 % was meant on 300 g: 3 g, so 300 mL of 1 %.
  await expect(steps.getByRole('row', { name: /Pour Vault Blue 1 %.*300 mL.*300 mL/ })).toBeVisible();
  await expect(steps.getByRole('row', { name: /white vinegar to the bath.*120 mL.*120 mL/ })).toBeVisible();
  await expect(steps.getByRole('row', { name: /hot, level bath.*120 mL.*120 mL/ })).toBeVisible();
  await expect(steps.getByRole('row', { name: /Top the bath up with water.*500 mL.*500 mL/ })).toBeVisible();
  await expect(steps.getByRole('row', { name: /Hold at 85 °C.*20 min.*20 min/ })).toBeVisible();
  await page.getByLabel('In', { exact: true }).selectOption('');
  await page.getByRole('button', { name: 'Begin this batch' }).click();
  await expect(page).toHaveURL(/pots\//);

  // And by number: what is on the new card is what went in, line by line.
  const then = await get<Batch>(`/batches/${batch.id}`);
  const now = await get<Batch>(`/batches/${page.url().split('/').at(-1)}`);
  expect(now.againOf).toBe(batch.id);
  const folded = foldRecord(then);
  expect(goodsThen(folded).map(({ grams }) => grams)).toEqual([100, 100, 50, 50, 100]);
  expect(goodsThen(foldRecord(now)).map(({ grams }) => grams)).toEqual([100, 100, 50, 50, 100]);
  const amounts = (acts: readonly { id: string; act: CardAct['act'] }[]) =>
    acts
      .flatMap(({ id, act }) => {
        const much = amountOf(act);
        return much ? [[id, Math.round(much.amount * 1e9) / 1e9] as const] : [];
      })
      .toSorted(([one], [other]) => one.localeCompare(other));
  expect(amounts(now.card.acts)).toEqual(amounts(folded.toTheEnd));
});
