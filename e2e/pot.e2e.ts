import { expect, test, type Page } from '@playwright/test';
import { startApplication, type Application } from './application';
import { asPlanned, current, key, main, PHONE, saveAndBegin, step, title, until } from './atThePot';
import { keysOf } from './keys';

let application: Application;
test.beforeEach(async () => {
  application = await startApplication('demo');
});
test.afterEach(() => application.remove());

/** A colorway of one pass, planned by hand on the desk, saved and begun. */
async function begin(page: Page, way: string, name: string): Promise<void> {
  await page.goto(`${application.url}/colorways/new`);
  await main(page).getByLabel('Way', { exact: true }).selectOption({ label: way });
  await main(page).getByLabel('Name of the colorway').fill(name);
  await saveAndBegin(page);
}

/**
 * Every way with what its record says of 100 g at 0.5 % and of its acid left out, worked by hand beforehand: 0.5 g, but where a way
 * reaches a part of the goods only, as a dip 60 % of the length, or its first section.
 */
const WAYS: [way: string, dye: RegExp][] = [
  ['immersion', /^0\.5 ?g$/],
  ['low immersion pan', /^0\.5 ?g$/],
  ['cool bath', /^0\.5 ?g$/],
  ['glaze', /^0\.5 ?g$/],
  // Four doses of 12.5 mL are read to 12.6 mL on the syringe.
  ['repeated twist or knot', /^0\.504 ?g$/],
  ['dip', /^0\.3 ?g$/],
  // The first of two halves.
  ['section painting', /^0\.25 ?g$/],
  ['sprinkle', /^0\.5 ?g$/],
  ['ice or snow', /^0\.5 ?g$/],
  ['painted stack', /^0\.5 ?g$/],
  // The first of three stripes, 34 g.
  ['blank painting', /^0\.17 ?g$/],
  ['own way', /^0\.5 ?g$/],
];

for (const [way, dye] of WAYS)
  test(`${way}: a longer wait, a step left out, a skein thrown in, a bleed and its cure, as the record tells it`, async ({
    page,
  }) => {
    test.setTimeout(120_000);
    await begin(page, way, `Trial of ${way}`);
    // The code that goes on the tag stands there before anything is wet.
    await expect(main(page).getByRole('region', { name: 'Tag' })).toContainText(/\d\d-\d{3}/);

    await test.step('a step is left out', async () => {
      const acid = main(page)
        .getByRole('button', { name: /^Add (white vinegar|citric)/ })
        .first();
      await acid.click();
      await main(page)
        .getByRole('list', { name: 'Steps' })
        .getByRole('button', { name: 'Leave it out' })
        .click();
      await expect(main(page).getByText(/^Left out: Add /)).toBeVisible();
    });

    await test.step('a wait takes longer', async () => {
      for (let i = 0; i < 40 && !(await key(page, 'Begin, start the clock').isVisible()); i += 1)
        await asPlanned(page);
      const wait = await title(page).textContent();
      await key(page, 'Begin, start the clock').click();
      await key(page, '10 min longer').click();
      await expect(main(page).getByText(`${wait}: 10 min longer`).first()).toBeVisible();
      await step(page, key(page, 'Done'));
      // Once more, where it is no soak; and not after all.
      const again = main(page).getByRole('button', { name: `${wait}: again, 5 min` });
      if (!wait?.startsWith('Wet out')) {
        await again.click();
        await expect(title(page)).toHaveText(wait ?? '');
        await main(page)
          .getByRole('button', { name: `Take back: ${wait}: once more, 5 min` })
          .click();
        await expect(main(page).getByText(`${wait}: once more, 5 min`)).toHaveCount(0);
      }
    });

    await test.step('a spare skein goes in while it is set', async () => {
      await until(page, /^(Hold at .*(simmer hold|steam|low oven|microwave)|Hold at)/);
      await main(page).getByRole('button', { name: 'More goods' }).click();
      await main(page).getByRole('button', { name: 'They are in' }).click();
      await expect(
        main(page)
          .getByText(/^Came in: 1 × |Put .* in to catch what is left/)
          .first(),
      ).toBeVisible();
    });

    await test.step('it bleeds, and is cured', async () => {
      await until(page, /^Rinse/);
      await key(page, 'it bleeds').click();
      await main(page).getByRole('button', { name: 'Acid soak, set again' }).click();
      await expect(title(page)).toHaveText('Run water for an acid soak');
      await until(page, /^Rinse/);
      await step(page, key(page, 'no bleeding'));
      await until(page, null);
    });

    await main(page).getByRole('button', { name: 'as wanted' }).click();
    await main(page).getByRole('button', { name: 'Close the batch' }).click();
    await expect(page).toHaveURL(/\/book\//);
    const record = main(page);
    await expect(record.getByRole('table', { name: 'True recipe' }).getByText(dye).first()).toBeVisible();
    for (const words of [
      /Left out: Add /,
      /10 min longer/,
      /Came in: 1 × /,
      /It bled\. Put in: Run water for an acid soak/,
    ])
      await expect(record.getByText(words).first()).toBeVisible();
  });

test('the plan turned over in the middle: a pass more, from the pot to the oven, and the yarn of another batch', async ({
  page,
}) => {
  await begin(page, 'immersion', 'Turned over');
  await until(page, /^Lift the goods in/);
  await asPlanned(page);
  const change = main(page).getByRole('region', { name: 'Change the plan' });

  await test.step('a pass with another dye, in the bath that is there', async () => {
    await change.getByRole('button', { name: 'A pass more' }).click();
    await change.getByLabel('A pass like').selectOption({ label: 'one dye by immersion' });
    await change.getByLabel('Dye', { exact: true }).selectOption({ label: 'Vault Blue' });
    await change.getByLabel('% depth').fill('0.2');
    await change.getByRole('button', { name: 'Put it next' }).click();
    await expect(main(page).getByText('Put in: a pass, immersion')).toBeVisible();
    // 0.2 % of 100 g is 0.2 g, 20 mL of 1 %.
    await expect(main(page).getByRole('button', { name: 'Pour Vault Blue 1 %', exact: true })).toBeVisible();
    await expect(
      main(page)
        .getByText(/^20 ?mL$/)
        .first(),
    ).toBeVisible();
  });

  await test.step('set in the oven', async () => {
    await change.getByRole('button', { name: 'Other vessel or set' }).click();
    await change.getByLabel('Set by').selectOption({ label: 'low oven' });
    await change.getByRole('button', { name: 'Set it so' }).click();
    await expect(main(page).getByRole('button', { name: /^Hold at 93 °C, low oven/ })).toBeVisible();
  });

  await test.step('the yarn of another batch goes in with it', async () => {
    await change.getByRole('button', { name: 'More goods' }).click();
    await main(page).getByLabel('They come from').selectOption({ label: 'from batch 26-015, Angelus' });
    await main(page).getByLabel('They go in').selectOption({ label: 'to be dyed with the others' });
    await main(page).getByRole('button', { name: 'They are in' }).click();
    await expect(main(page).getByText('Came in: 4 × Cobweb Halo')).toBeVisible();
  });

  await until(page, null);
  await main(page).getByRole('button', { name: 'as wanted' }).click();
  await main(page).getByRole('button', { name: 'Close the batch' }).click();
  await expect(page).toHaveURL(/\/book\//);
  const recipe = main(page).getByRole('table', { name: 'True recipe' });
  // 4 × 50 g of lace came to the 100 g: 0.5 g and 0.2 g on 300 g.
  await expect(recipe.getByRole('row', { name: /Bell Red.*0\.5 g.*0\.167 %/ })).toBeVisible();
  await expect(recipe.getByRole('row', { name: /Vault Blue.*0\.2 g.*0\.0667 %/ })).toBeVisible();
  for (const words of [/^Put in: a pass, immersion/, /^Set by low oven/, /^Came in: 4 × Cobweb Halo/])
    await expect(main(page).getByText(words).first()).toBeVisible();
});

test('a bath that does not clear gets time, then heat, then acid, each with its amount; a tint may stay', async ({
  page,
}) => {
  await begin(page, 'repeated twist or knot', 'Never clear');
  await until(page, /strike until the bath clears/);
  await key(page, 'Begin, start the clock').click();
  const asks = main(page).getByRole('region', { name: 'What the look asks for' });
  await key(page, 'tinted').click();
  await expect(asks.getByRole('heading')).toHaveText('The bath is tinted');
  await asks.getByRole('button', { name: '10 min more', exact: true }).click();
  await expect(asks).toHaveCount(0);
  await expect(current(page).getByText(/18 min/)).toBeVisible();
  await key(page, 'tinted').click();
  await expect(asks.getByText(/More acid would do little/)).toBeVisible();
  // A strip says otherwise: half a pH sourer than 6.5 is due.
  await main(page).getByLabel('Measured pH').fill('6.5');
  await main(page).getByRole('button', { name: 'Keep the pH' }).click();
  await key(page, 'tinted').click();
  await asks.getByRole('button', { name: /mL vinegar, 10 min more$/ }).click();
  await expect(title(page)).toHaveText(/^Add white vinegar/);
  await step(page, key(page, 'Poured'));
  await key(page, 'Begin, start the clock').click();
  await key(page, 'colored').click();
  await asks.getByRole('button', { name: 'A tint stays: Bell Red' }).click();
  await expect(asks).toHaveCount(0);
  await expect(main(page).getByText(/bath tinted, Bell Red stays$/)).toBeVisible();
  // Clear is the end of a wait that lasts until then.
  await step(page, key(page, 'clear'));
});

test('three pots of one colorway are started from one list; what the first taught the others do by one tap', async ({
  page,
}) => {
  await page.goto(`${application.url}/colorways/new`);
  await main(page).getByLabel('Name of the colorway').fill('Ahead');
  await main(page).getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Version 1 saved.')).toBeVisible();
  await page.goto(`${application.url}/colorways/start`);
  for (let i = 1; i <= 3; i += 1) {
    if (i > 1) await main(page).getByRole('button', { name: 'One more batch' }).click();
    await main(page).getByLabel(`Colorway ${i}`).selectOption({ label: 'Ahead' });
    await main(page).getByLabel(`Count ${i}`).fill(String(i));
  }
  // 0.5 % of 600 g is 3 g, 300 mL of 1 %. Acid of 1 g/L in 18 L is 360 mL of vinegar.
  const needed = main(page).getByRole('region', { name: 'What is needed' });
  await expect(needed.getByText(/^Bell Red 1 %.*: 300 mL, the jar holds/)).toBeVisible();
  await expect(needed.getByText('white vinegar: 360 mL')).toBeVisible();
  await expect(
    main(page)
      .getByText(/done about \d\d:\d\d/)
      .first(),
  ).toBeVisible();
  // The second on another base: as many and as heavy, so what is needed stays.
  await main(page).getByLabel('Base 2').selectOption({ label: 'Sexton Worsted' });
  await expect(needed.getByText(/^Bell Red 1 %.*: 300 mL, the jar holds/)).toBeVisible();
  await main(page).getByRole('button', { name: 'Begin all 3' }).click();
  await expect(page).toHaveURL(/\/pots$/);
  await page.setViewportSize(PHONE);

  await test.step('each is of its own base', async () => {
    await main(page)
      .getByRole('link', { name: /Ahead.*26-017/s })
      .click();
    await expect(
      main(page)
        .getByText(/2 × Sexton Worsted/)
        .first(),
    ).toBeVisible();
    await page.goBack();
  });

  await test.step('the test pot takes less dye, and no acid in the bath', async () => {
    await main(page)
      .getByRole('link', { name: /Ahead.*26-016/s })
      .click();
    await until(page, /^Pour Bell Red/);
    await key(page, 'Poured something else').click();
    await keysOf(page).getByLabel('Really poured').fill('40');
    await step(page, key(page, 'Keep'));
    await step(page, key(page, 'Leave it out'));
  });

  await test.step('the third pot does the same for three skeins', async () => {
    await page.goto(`${application.url}/pots`);
    await main(page)
      .getByRole('link', { name: /Ahead.*26-018/s })
      .click();
    const taught = main(page).getByRole('region', { name: 'What 26-016 taught' });
    await expect(taught.getByText('Pour Bell Red 1 %: 40 mL instead of 50 mL')).toBeVisible();
    await taught.getByRole('button', { name: 'The same here' }).click();
    await expect(taught).toHaveCount(0);
    // Four fifths of 150 mL.
    await expect(
      main(page)
        .getByText(/^120 ?mL$/)
        .first(),
    ).toBeVisible();
    await expect(main(page).getByRole('button', { name: /^Add white vinegar/ })).toHaveCount(0);
  });
});

test('what a plan asks is asked from the list of several as well', async ({ page }) => {
  await page.goto(`${application.url}/colorways/new`);
  await main(page).getByLabel('Name of the colorway').fill('Painted and simmered');
  await main(page).getByLabel('Way', { exact: true }).selectOption({ label: 'section painting' });
  await main(page).getByLabel('Set by').selectOption({ label: 'simmer hold' });
  await main(page).getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Version 1 saved.')).toBeVisible();
  await page.goto(`${application.url}/colorways/start`);
  await main(page).getByLabel('Colorway 1').selectOption({ label: 'Painted and simmered' });
  const begins = main(page).getByRole('button', { name: 'Answer what is asked above first' });
  await expect(begins).toBeDisabled();
  await main(page)
    .getByRole('button', { name: /^Do it all the same/ })
    .click();
  await main(page).getByRole('button', { name: 'Begin this batch' }).click();
  await expect(page).toHaveURL(/\/pots$/);
});

test('a ladder of one colorway in four depths is begun from one list, each named by its depth', async ({
  page,
}) => {
  await page.goto(`${application.url}/colorways/new`);
  await main(page).getByLabel('Name of the colorway').fill('Rungs');
  await main(page).getByLabel('Each, dry').fill('20');
  await main(page).getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Version 1 saved.')).toBeVisible();
  await page.goto(`${application.url}/colorways/start`);
  for (const [i, depth] of ['0.1', '0.5', '1', '2'].entries()) {
    if (i > 0) await main(page).getByRole('button', { name: 'One more batch' }).click();
    await main(page)
      .getByLabel(`Colorway ${i + 1}`)
      .selectOption({ label: 'Rungs' });
    await main(page)
      .getByLabel(`Depth ${i + 1}`)
      .fill(depth);
  }
  // 3.6 % in all of 20 g is 0.72 g: 72 mL of 1 %. Four baths of 600 mL at 1 g/L: 48 mL of vinegar.
  const needed = main(page).getByRole('region', { name: 'What is needed' });
  await expect(needed.getByText(/^Bell Red 1 %.*: 72 mL, the jar holds/)).toBeVisible();
  await expect(needed.getByText('white vinegar: 48 mL')).toBeVisible();
  await main(page).getByRole('button', { name: 'Begin all 4' }).click();
  await expect(page).toHaveURL(/\/pots$/);
  await main(page)
    .getByRole('link', { name: /Rungs, 2 ?%/ })
    .first()
    .click();
  await until(page, /^Pour Bell Red/);
  // 2 % of 20 g is 0.4 g.
  await expect(
    current(page)
      .getByText(/^40 ?mL$/)
      .first(),
  ).toBeVisible();

  await test.step('the steps they share are done by one tap, each with its own amount, and taken back by one', async () => {
    await page.goto(`${application.url}/pots`);
    await page.setViewportSize(PHONE);
    const together = (step: RegExp) => main(page).getByRole('region', { name: step });
    const key = (step: RegExp, word: string) => together(step).getByRole('button', { name: word });
    await key(/^Wet out the goods/, 'Begin in all 3').click();
    await key(/^Wet out the goods/, 'Over in all 3').click();
    await key(/^Run water/, 'Poured in all 3').click();
    const pour = /^Pour Bell Red 1 %$/;
    await expect(together(pour).getByRole('listitem')).toHaveText([
      /^2 ?mLRungs, 0.1 %/,
      /^10 ?mL/,
      /^20 ?mL/,
      /^40 ?mL/,
    ]);
    await key(pour, 'Poured in all 4').click();
    await expect(together(pour)).toBeHidden();
    await page
      .getByRole('alert')
      .filter({ hasText: 'Pour Bell Red 1 %: in 4 pots.' })
      .getByRole('button', { name: 'Take back' })
      .click();
    await key(pour, 'Poured in all 4').click();
    await expect(together(/^Add white vinegar/).getByText(/^Acid into water/)).toBeVisible();
    const depths = async (): Promise<(number | null)[]> =>
      (
        (await (await page.request.get(`${application.url}/api/batches?limit=200`)).json()) as {
          rows: { name: string; dosPercent: number | null }[];
        }
      ).rows
        .filter(({ name }) => name.startsWith('Rungs'))
        .map(({ dosPercent }) => dosPercent)
        .toSorted();
    await expect.poll(depths).toEqual([0.1, 0.5, 1, 2].map((percent) => expect.closeTo(percent, 9)));
  });
});

test('a batch begun by mistake is dropped: its jar is full again, and it is gone from the pots', async ({
  page,
}) => {
  await begin(page, 'immersion', 'By mistake');
  const left = async (): Promise<number> =>
    (
      (await (await page.request.get(`${application.url}/api/shelf`)).json()) as {
        stockLeft: Record<string, number>;
      }
    ).stockLeft['bell-red-1'] ?? 0;
  const before = await left();
  await until(page, /^Pour Bell Red/);
  await asPlanned(page);
  await expect.poll(left).toBe(before - 50);
  const change = main(page).getByRole('region', { name: 'Change the plan' });
  await change.getByRole('button', { name: 'Begun by mistake' }).click();
  await change.getByRole('button', { name: 'Drop this batch' }).click();
  await expect(page).toHaveURL(/\/pots$/);
  await expect(main(page).getByText('By mistake')).toHaveCount(0);
  await expect.poll(left).toBe(before);
});

test('a tag that is typed opens the card while it is wet, and the record when it is not', async ({
  page,
}) => {
  await page.goto(`${application.url}/colorways`, { waitUntil: 'networkidle' });
  await page.keyboard.press('/');
  await page.keyboard.type('26-015-A2');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/pots\/b15-angelus/);
  await page.keyboard.press('/');
  await page.keyboard.type('26-011');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/book\/b11/);
});
