import { expect, test, type Page } from '@playwright/test';
import { OWN, startApplication, type Application } from './application';
import { asPlanned, current, main, PHONE, saveAndBegin, title, until } from './atThePot';

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
});
test.afterEach(() => application.remove());

/** A new colorway of one pass in some way. */
async function newColorway(page: Page, way: string, name: string): Promise<void> {
  await page.goto(`${application.url}/colorways/new`);
  await main(page).getByLabel('Way', { exact: true }).selectOption({ label: way });
  await main(page).getByLabel('Name of the colorway').fill(name);
}

/** Says what a field of the formulation is to be. */
async function say(page: Page, label: string, text: string, nth = 0): Promise<void> {
  const field = main(page).getByLabel(label, { exact: true }).nth(nth);
  await field.fill(text);
  await field.press('Tab');
}

async function more(page: Page, way: string, word: RegExp): Promise<void> {
  await main(page)
    .getByRole('button', { name: `More for Pass 1, ${way}` })
    .click();
  await page.getByRole('menuitem', { name: word }).click();
}

/** Everything done as planned, and closed. */
async function toItsEnd(page: Page): Promise<void> {
  await until(page, null);
  await main(page).getByRole('button', { name: 'as wanted' }).click();
  await main(page).getByRole('button', { name: 'Close the batch' }).click();
  await expect(page).toHaveURL(/\/book\//);
}

test('a pan in three zones with white left and half as much on the back; two bases, a map, and how each piece came out', async ({
  page,
}) => {
  await newColorway(page, 'low immersion pan', 'Three zones');
  await say(page, 'Count', '10');
  await say(page, 'Each, dry', '20');
  await main(page).getByRole('button', { name: 'Add goods' }).click();
  await say(page, 'Count', '5', 1);
  await say(page, 'Each, dry', '20', 1);
  await more(page, 'low immersion pan', /zones/);
  await main(page).getByRole('button', { name: 'Add a zone' }).click();
  await main(page).getByRole('button', { name: 'Add a zone' }).click();
  for (const [zone, share] of [
    ['Zone A', '40'],
    ['Zone B', '20'],
    ['Zone C', '10'],
  ] as const)
    await say(page, `Share of ${zone}`, share);
  await main(page).getByLabel('How Zone B lies').selectOption({ label: 'in a zigzag' });
  await main(page).getByRole('button', { name: 'More about the back' }).click();
  await say(page, 'The back gets', '50');
  // 100 less 40, 20 and 10 %.
  await expect(main(page).getByText(/Left white 30 ?%/)).toBeVisible();
  // 40 % of 300 g at 0.5 % is 0.6 g, 60 mL of 1 %: 40 in front, 20 on the back.
  await expect(
    main(page)
      .getByText(/60 ?mL.*of 1 %/)
      .first(),
  ).toBeVisible();
  await saveAndBegin(page);

  await test.step('who lies where is tapped', async () => {
    await main(page).getByRole('button', { name: 'Who lies where' }).click();
    const map = main(page).getByRole('region', { name: 'Who lies where' });
    const white = map.getByRole('button', { name: /^B .*, \d of 5$/ });
    for (const [nth, from, to] of [
      [map.getByRole('button', { name: /^A .*, \d+ of 10$/ }), 1, 10],
      [white, 11, 15],
    ] as const) {
      await nth.click();
      for (let i = from; i <= to; i += 1)
        await map
          .getByRole('button', { name: new RegExp(`^row ${Math.ceil(i / 5)}, place ${1 + ((i - 1) % 5)},`) })
          .click();
    }
    await expect(white).toHaveText(/5 of 5/);
    // A sixth of five is refused with the way out.
    await map.getByRole('button', { name: /^row 1, place 1,/ }).click();
    await expect(page.getByText(/The map shows 6 of .*, and there are 5\. Take 1 off it\./)).toBeVisible();
    await map.getByRole('button', { name: 'Keep the map' }).click();
    await expect(page.getByText('Who lies where: kept.')).toBeVisible();
  });

  await test.step('the card pours zone by zone, then the back', async () => {
    await until(page, /^Pour .*, on Zone A, 40 % of the goods$/);
    await until(page, /^Pour .*, in a zigzag, on Zone B, 20 % of the goods$/);
    await until(page, /^Turn the goods over/);
    await until(page, /^Pour .*, on Zone A, 40 % of the goods$/);
    await expect(main(page).getByText('On the back, in the same liquid.').first()).toBeVisible();
  });
  await toItsEnd(page);

  await test.step('the record says how each came out', async () => {
    await expect(
      main(page)
        .getByText(/Laid out: 10 × .*, 5 × /)
        .first(),
    ).toBeVisible();
    const each = main(page).getByRole('region', { name: 'How each came out' });
    await each.getByRole('button', { name: /^row 3, place 5,/ }).click();
    await each.getByRole('button', { name: 'not right' }).click();
    await each.getByLabel('In words').fill('pale at the wall');
    await each.getByRole('button', { name: 'Keep it' }).click();
    await expect(each.getByText(/row 3, place 5 not right, pale at the wall/)).toBeVisible();
    await each
      .getByRole('button', { name: /^Say how the/ })
      .first()
      .click();
    await each.getByRole('button', { name: 'as wanted' }).click();
    await each.getByRole('button', { name: 'Keep it' }).click();
    await expect(each.getByText(/: as wanted/)).toBeVisible();
  });
});

/** Part of a drawn hank that is in a red, by its pixels; what lies around it is left out. */
const redOf = (page: Page): Promise<number> =>
  page
    .getByRole('img', { name: 'The goods after pass 1, an estimate' })
    .evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas
        .getContext('2d')!
        .getImageData(0, 0, canvas.width, canvas.height) as unknown as { data: number[] };
      let [red, all] = [0, 0];
      for (let i = 0; i < data.length; i += 4) {
        const [r = 0, g = 0, b = 0, opaque = 0] = data.slice(i, i + 4);
        if (opaque < 200) continue;
        all += 1;
        if (r - Math.max(g, b) > 40) red += 1;
      }
      return red / all;
    });

test('what is drawn covers what the recipe says: 30 % of a ring, 40 % of a pan, to the pixel', async ({
  page,
}) => {
  for (const [way, share, field] of [
    ['section painting', 0.3, 'Share of Section A'],
    ['low immersion pan', 0.4, 'Share of Zone A'],
  ] as const) {
    await newColorway(page, way, 'Measured');
    if (way !== 'section painting') await more(page, way, /zones/);
    await say(page, field, String(100 * share));
    // The first dye on the shelf is a red.
    await say(page, 'Depth', '2');
    // The picture follows when typing has rested: what was drawn before may stand there for a while.
    await expect.poll(async () => Math.abs((await redOf(page)) - share)).toBeLessThan(0.05);
  }
});

test('a ring in quarters of three colors and white, mirrored, from wrap to the rail', async ({ page }) => {
  await newColorway(page, 'section painting', 'Quarters');
  await main(page).getByRole('button', { name: 'Add a section' }).click();
  await main(page).getByRole('button', { name: 'Add a section' }).click();
  for (const letter of ['A', 'B', 'C', 'D']) await say(page, `Share of Section ${letter}`, '25');
  await main(page).getByLabel('In order').selectOption({ label: 'there and back, mirrored' });
  await main(page).getByLabel('Set by').selectOption({ label: 'steam' });
  await saveAndBegin(page);
  await until(page, /^Lay wrap out, and the damp hank on it$/);
  // 25 g of 100 at 1 mL/g; it lies on two eighths of the ring.
  await until(page, /^Fill up to 25 mL and paint Section A$/);
  await expect(
    main(page)
      .getByText(/25 % of the hank, in 2 places\. Press the color in/)
      .first(),
  ).toBeVisible();
  await until(page, /^Wrap the goods as they lie for the steam/);
  await toItsEnd(page);
  await expect(main(page).getByRole('table', { name: 'True recipe' })).toBeVisible();
});

test('both ends of a pair of socks, each in its own bath', async ({ page }) => {
  await newColorway(page, 'dip', 'Toe and cuff');
  await more(page, 'dip', /both ends/);
  await say(page, 'Share of first end', '40');
  await say(page, 'Share of other end', '30');
  await main(page)
    .getByRole('button', { name: /^More about goods line 1/ })
    .click();
  await main(page).getByLabel('Form').first().selectOption({ label: 'finished piece' });
  await saveAndBegin(page);
  await until(page, /^Pour .*, for the first end$/);
  await until(page, /^Hang the first end of the goods in, 40 % of the length$/);
  await until(page, /^Pour .*, for the other end$/);
  await until(page, /^Hang the other end of the goods in, 30 % of the length$/);
  await until(page, /^Press the water out, let it drip, and dry it flat; never wring$/);
  await toItsEnd(page);
  // 40 g at 0.5 % and 30 g at 0.5 %.
  const recipe = main(page).getByRole('table', { name: 'True recipe' });
  await expect(recipe.getByText(/0\.2 ?g/).first()).toBeVisible();
  await expect(recipe.getByText(/0\.15 ?g/).first()).toBeVisible();
});

test('66 skeins over four pots as loads of one order, two of them steamed together', async ({ page }) => {
  test.setTimeout(180_000);
  for (const [id, name, liters] of [
    ['vat-1', 'Quarter Jack', 10],
    ['vat-2', 'Half Jack', 10],
  ] as const) {
    const kept = await page.request.put(`${application.url}/api/pots/${id}`, {
      headers: OWN,
      data: { id, name, kind: 'pot', capacityMl: 1000 * liters, powerWatts: 2000 },
    });
    expect(kept.ok()).toBe(true);
  }
  await newColorway(page, 'immersion', 'Friday');
  await main(page).getByLabel('Set by').selectOption({ label: 'steam' });
  await main(page).getByRole('button', { name: 'Heat it', exact: true }).click();
  await main(page).getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Version 1 saved.')).toBeVisible();
  await main(page).getByRole('link', { name: 'Split it into loads' }).click();
  await say(page, 'Pieces', '66');
  const loads = main(page).getByRole('table', { name: 'Loads' }).getByRole('rowheader');
  await expect(loads).toHaveCount(4);
  // 3.1 L a skein with its bath: 2, 2, 3 and 3 of them; in seven rounds the even part of 66 is ten.
  await expect(
    main(page).getByText('56 are left for 6 more rounds: come back when these vessels are free.'),
  ).toBeVisible();
  await main(page).getByRole('button', { name: 'Begin these 4 loads' }).click();
  await expect(page).toHaveURL(/\/pots$/);
  await page.setViewportSize(PHONE);
  const inPot = async (pot: string): Promise<void> => {
    await page.goto(`${application.url}/pots`);
    await main(page)
      .getByRole('link', { name: new RegExp(`Friday.*${pot}|${pot}.*Friday`) })
      .first()
      .click();
    await expect(page).toHaveURL(/\/pots\/.+/);
  };
  await inPot('Quarter Jack');
  await until(page, /^Lift the goods out.*wrap for the steam/);
  const code = (await main(page).locator('strong').first().textContent()) ?? '';
  expect(code).toMatch(/^\d\d-\d{3}$/);
  await inPot('Half Jack');
  await until(page, /^Lift the goods out.*wrap for the steam/);
  await test.step('one wait for both', async () => {
    await main(page).getByRole('button', { name: 'Share the set' }).click();
    await main(page)
      .getByRole('region', { name: 'Share the set' })
      .getByRole('button', { name: new RegExp(`^${code} Friday`) })
      .click();
    await expect(page.getByText('Friday is set with Friday.')).toBeVisible();
    await until(page, /^Lay \d × .* in beside them, not touching$/);
    await until(page, /^Hold at .*, steam$/);
    await toItsEnd(page);
    await expect(main(page).getByText(/was a guest in its set/)).toBeVisible();
    await expect(main(page).getByText(/Load \d of the order Friday, 66: 3 of 66\./)).toBeVisible();
    await expect(main(page).getByRole('link', { name: '56 to come' })).toBeVisible();
  });
  await inPot('Quarter Jack');
  await until(page, /^Take the goods out of the shared set/);
  await toItsEnd(page);
  await expect(main(page).getByText(/was set together with batch/)).toBeVisible();
  await expect(
    main(page)
      .getByText(/^Set together with .* Friday, in whose record it is waited for/)
      .first(),
  ).toBeVisible();
});

test('one colorway on two bases for Friday: a round at a time, and what is left of each', async ({
  page,
}) => {
  await newColorway(page, 'immersion', 'Friday');
  await main(page).getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Version 1 saved.')).toBeVisible();
  await main(page).getByRole('link', { name: 'Split it into loads' }).click();
  await say(page, 'Pieces', '4');
  await main(page).getByRole('button', { name: 'One more base' }).click();
  await main(page).getByLabel('Base 2', { exact: true }).selectOption({ label: 'Sexton Worsted' });
  await say(page, 'Pieces 2', '3');
  // Two pots are free, each for two skeins: the first base takes both, the other comes after it.
  const rows = main(page).getByRole('table', { name: 'Loads' }).getByRole('row');
  await expect(rows).toHaveText([/^Vessel/, /2Ratchet Sock/, /2Ratchet Sock/]);
  await expect(
    main(page).getByText('3 are left for 1 more round: come back when these vessels are free.'),
  ).toBeVisible();
  // 0.5 % of 700 g is 3.5 g: 350 mL of a 1 % jar.
  await expect(main(page).getByText('All rounds together take 350 mL Bell Red 1 %.')).toBeVisible();
  await main(page).getByRole('button', { name: 'Begin these 2 loads' }).click();
  await expect(page).toHaveURL(/\/pots$/);
  await page.goto(`${application.url}/colorways/order`);
  await main(page).getByRole('link', { name: 'Friday, 7' }).click();
  await expect(
    main(page).getByText('4 of 7 are begun in 2 loads; 3 to come: 3 on Sexton Worsted.'),
  ).toBeVisible();
  await expect(main(page).getByText(/No vessel|Choose at least one vessel/)).toBeVisible();
});

test('a liter of a glaze goes on into a pan that the second pass has for itself: card, record, and dyed again', async ({
  page,
}) => {
  const pan = { shape: 'rectangular', lengthCm: 40, widthCm: 25 };
  const kept = await page.request.put(`${application.url}/api/pots/quarter-pan`, {
    headers: OWN,
    data: { id: 'quarter-pan', name: 'Quarter pan', kind: 'pan', capacityMl: 8000, floor: pan, wallCm: 8 },
  });
  expect(kept.ok()).toBe(true);
  await newColorway(page, 'glaze', 'Glaze and pan');
  await main(page).getByRole('button', { name: 'Add a pass' }).click();
  await main(page)
    .getByRole('button', { name: /^low immersion pan/ })
    .click();
  for (const word of ['In a vessel of its own', 'Go on with some of the bath before']) {
    await main(page).getByRole('button', { name: 'More for Pass 2, low immersion pan' }).click();
    await page.getByRole('menuitem', { name: word }).click();
  }
  // The way asks for a pan: the measured one is taken, with its floor.
  await expect(main(page).getByLabel('Vessel of this pass')).toHaveValue('quarter-pan');
  await expect(main(page).getByLabel('Length', { exact: true })).toHaveValue(/^40/);
  await say(page, 'Of the bath before', '4 cups');
  await expect(
    main(page)
      .getByText(/of the bath of glaze, with the acid in it/)
      .filter({ hasText: '4 cups' }),
  ).toBeVisible();
  await say(page, 'Of the bath before', '1 L');
  await saveAndBegin(page);
  await expect(
    main(page)
      .getByText(/· Little Treble ·/)
      .first(),
  ).toBeVisible();
  await until(page, /^Measure 1 L of the bath before into the Quarter pan$/);
  await expect(
    main(page)
      .getByText(/· Quarter pan · pass 2 of 2/)
      .first(),
  ).toBeVisible();
  await until(page, /^Lay the goods flat in the pan$/);
  await expect(main(page).getByText('Vessel: Quarter pan.').first()).toBeVisible();
  // 40 × 25 × 4 cm less 100 g at 1.31 g/mL are 3.92 L: a liter and 50 mL of stock are in it, and what the skein holds.
  await until(page, /^Run water into the Quarter pan$/);
  await toItsEnd(page);
  await expect(main(page).getByText(/, in Little Treble, then Quarter pan/)).toBeVisible();
  await page.setViewportSize({ width: 1280, height: 800 });
  await main(page).getByRole('link', { name: /again/i }).first().click();
  await expect(page).toHaveURL(/\/again/);
  await expect(
    main(page)
      .getByText(/^Measure 1 L of the bath before into the Quarter pan/)
      .first(),
  ).toBeVisible();
  await main(page).getByLabel('Count').first().fill('2');
  await main(page).getByLabel('Count').first().press('Tab');
  await expect(
    main(page)
      .getByText(/^Measure 2 L of the bath before into the Quarter pan/)
      .first(),
  ).toBeVisible();
});

test('powder by the spoon on ice, minis below for what drips, acid after the melt and its wait, then steam', async ({
  page,
}) => {
  await newColorway(page, 'ice or snow', 'First frost');
  await main(page).getByRole('button', { name: 'Add goods' }).click();
  await say(page, 'Each, dry', '10', 1);
  await main(page)
    .getByRole('button', { name: /^More about goods line 2/ })
    .click();
  await main(page).getByLabel('Catch-up').selectOption('last');
  // The line keeps the jar of its dye for a way that pours; on ice a spoon is one of powder all the same.
  await main(page).getByLabel('Depth', { exact: true }).fill('1/8 tsp');
  await expect(main(page).getByLabel('Measured in')).toHaveValue('powder spoons');
  await say(page, 'Dose', '4 tbsp');
  await saveAndBegin(page);
  await until(page, /^Lay the spare goods under the rack, for what drips$/);
  await until(page, /^Sprinkle .* powder on the ice$/);
  await expect(current(page).getByText('1/8 tsp').first()).toBeVisible();
  await until(page, /^Let it melt/);
  await asPlanned(page);
  await expect(title(page)).toHaveText(/^Add white vinegar over the goods$/);
  await expect(current(page).getByText('4 tbsp').first()).toBeVisible();
  await asPlanned(page);
  await expect(title(page)).toHaveText(/^Leave the acid to work in$/);
  await until(page, /^Lift the goods out, let them drip, wrap for the steam$/);
  await toItsEnd(page);
  await expect(main(page).getByRole('table', { name: 'True recipe' })).toBeVisible();
});
