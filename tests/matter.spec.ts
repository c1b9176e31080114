import { expect, test } from '@playwright/test';
import { drawnAnew, EACH, exported, goTo, noViolations, openDemo, pixels, planned } from './helpers';

/** A look of its own with one colour, put on the left middle finger. */
async function newLook(page: Parameters<typeof openDemo>[0], colour: string): Promise<void> {
  await page.getByTestId('nail-left-middle').click();
  await page.getByRole('button', { name: 'New look', exact: true }).click();
  await page.getByRole('combobox', { name: 'Colour' }).selectOption(colour);
}

const add = async (page: Parameters<typeof openDemo>[0], kind: string) => {
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByTestId(`add-${kind}`).click();
};

test(
  'grains, leaf and relief go on a nail from the tray; nothing stops it, and the card says each',
  EACH,
  async ({ page }) => {
    await openDemo(page, 'Matinée');
    await newLook(page, 'Night blue');
    for (const kind of ['glitter', 'sheets', 'relief']) await add(page, kind);
    await planned(page);
    await noViolations(page);
    await expect(page.getByTestId('plan-sum')).toContainText('Nothing stops it');
    await goTo(page, 'Card');
    const card = page.getByRole('article');
    await expect(card).toContainText('Pat hexagon glitter on, thinning out');
    await expect(card).toContainText('brush the loose hexagon glitter off');
    await expect(card).toContainText('Lay torn leaf on and press it flat');
    await expect(card).toContainText('raised lines');
  },
);

test('glitter on what has no tack is told, and takes its own from the finding', async ({ page }) => {
  await openDemo(page, 'Matinée');
  await newLook(page, 'Night blue');
  await add(page, 'glitter');
  await planned(page);
  await page.getByRole('combobox', { name: 'Sits' }).selectOption({ label: 'On the finished build' });
  await expect(page.getByRole('checkbox', { name: 'On a thin base of its own' })).not.toBeChecked();
  await page.getByRole('checkbox', { name: 'On a thin base of its own' }).check();
  await planned(page);
  await goTo(page, 'Card');
  await expect(page.getByRole('article')).toContainText('thin, for the hexagon glitter');
});

test('a pattern is kept on a shape, and beside it, by the element it is kept on', async ({ page }) => {
  await openDemo(page, 'Matinée');
  await newLook(page, 'Rose nude');
  await add(page, 'a-spot');
  await add(page, 'dots');
  const only = page.getByRole('combobox', { name: 'Only on' });
  await only.selectOption({ index: 1 });
  await page.getByRole('switch', { name: 'Beside it instead' }).check();
  await planned(page);
  const { looks } = JSON.parse((await exported(page)).text) as {
    looks: { elements: { id: string }[] }[];
  };
  expect(looks.flatMap(({ elements }) => elements).find((one) => one.id === 'dots')).toMatchObject({
    within: { element: 'a-spot', outside: true },
  });
});

test('a coat and a rest are put in by hand, by keyboard, and taken out again', async ({ page }) => {
  await openDemo(page, 'Matinée', 'Plate to top');
  const steps = page.getByRole('region', { name: 'Steps' }).getByRole('listitem');
  const before = await steps.count();
  const form = page.getByRole('form', { name: 'Put in after this step' });
  await steps.filter({ hasText: 'Cure Base' }).first().getByRole('button').first().click();
  await page.getByRole('button', { name: 'Put in after it' }).press('Enter');
  await form.getByLabel('What', { exact: true }).selectOption('A coat of colour');
  await form.getByLabel('Of', { exact: true }).selectOption({ index: 1 });
  const colour = await form.getByLabel('Of', { exact: true }).locator('option:checked').textContent();
  await form.getByRole('button', { name: 'Put it in' }).press('Enter');
  // With its own cure, and chosen: what can be done with it stands there.
  await expect(steps).toHaveCount(before + 2);
  await expect(page.getByRole('article').getByRole('heading', { name: colour! })).toBeVisible();

  await page.getByRole('button', { name: 'Put in after it' }).press('Enter');
  await form.getByLabel('What', { exact: true }).selectOption('Rest');
  await form.getByLabel('For, s').fill('25');
  await form.getByLabel('Without letting go of the nail').press('Space');
  await form.getByLabel('For, s').press('Enter');
  await expect(steps).toHaveCount(before + 3);
  const { text } = await exported(page);
  const { edits } = JSON.parse(text) as { edits: { kind: string; verb?: string; held?: true }[] };
  expect(edits.filter((one) => one.kind === 'insert').map((one) => one.verb)).toEqual([
    'coat',
    'cure',
    'rest',
  ]);
  expect(edits.at(-1)).toMatchObject({ verb: 'rest', seconds: 25, held: true });

  await page.getByRole('button', { name: 'Back to the craft’s order' }).click();
  await expect(steps).toHaveCount(before + 2);
});

test('a charm gets an outline of its own, drawn on the nail, and keeps it in the file', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  await page.getByTestId('nail-left-thumb').click();
  await page.getByTestId('element-mask').click();
  const before = await pixels(page, 'left-thumb');
  await page.getByRole('button', { name: 'Draw its outline' }).click();
  const pad = (await page.getByTestId('pen').boundingBox())!;
  const at = (turn: number) => ({
    x: pad.x + pad.width * (0.5 + 0.12 * Math.cos(turn) * (1 + 0.4 * Math.cos(3 * turn))),
    y: pad.y + pad.height * (0.5 + 0.12 * Math.sin(turn) * (1 + 0.4 * Math.cos(3 * turn))),
  });
  const turns = Array.from({ length: 41 }, (_, i) => (i * Math.PI) / 20);
  await page.mouse.move(at(0).x, at(0).y);
  await page.mouse.down();
  for (const turn of turns) await page.mouse.move(at(turn).x, at(turn).y);
  await page.mouse.up();
  await expect(page.getByLabel('Outline', { exact: true })).toHaveValue('own');
  await drawnAnew(page, 'left-thumb', before);
  const { text } = await exported(page);
  const { looks } = JSON.parse(text) as { looks: { elements: { kind: string; outline?: unknown[] }[] }[] };
  const charm = looks.flatMap((look) => look.elements).find((one) => one.kind === 'charm')!;
  expect(charm.outline!.length).toBeGreaterThan(10);
  // Chosen from the list again, it is as it was cast.
  await page.getByLabel('Outline', { exact: true }).selectOption('Mask');
  await expect(page.getByLabel('Outline', { exact: true })).toHaveValue('mask');
});

test('what holds on what is asked beside the steps: why not, what to do, and where in this set', async ({
  page,
}) => {
  await openDemo(page, 'Snow Scene');
  await planned(page);
  await goTo(page, 'Plate to top');
  const asked = page.getByRole('region', { name: 'What holds on what' });
  await asked.getByLabel('Laid, or done').selectOption('pearl');
  await asked.getByLabel('On', { exact: true }).selectOption('cured top coat, slick, no-wipe');
  await expect(asked).toContainText('Does not hold');
  await expect(asked).toContainText('lay a thin base and cure it');
  // The search finds a surface; pressed, it is asked about.
  await asked.getByLabel(/^Search what/).fill('cured gel, tac');
  await asked.getByRole('button', { name: /✓ cured gel, tacky/ }).click();
  await expect(asked).toContainText('✓ Holds');
  // Where this set does it: pressed, that step is looked at.
  await asked.getByLabel('Laid, or done').selectOption('mirror');
  await asked.getByLabel('On', { exact: true }).selectOption('cured top coat, slick, no-wipe');
  await asked.getByRole('button', { name: /Burnish Mirror powder.*both little fingers/ }).click();
  await expect(
    page.getByRole('article').getByRole('heading', { name: 'Burnish Mirror powder' }),
  ).toBeVisible();
  await noViolations(page);
});

test('a nail with eight elements in three parts from nothing, ordered badly, its reasons read, and put right: in 60 actions at most', async ({
  page,
}) => {
  await openDemo(page, 'Matinée');
  let actions = 0;
  const act = async (work: Promise<unknown>) => {
    actions += 1;
    await work;
  };
  await act(page.getByTestId('nail-left-middle').click());
  await act(page.getByRole('button', { name: 'New look', exact: true }).click());
  await act(page.getByRole('combobox', { name: 'Colour' }).selectOption('Night blue'));
  const put = async (kind: string, where?: string) => {
    await act(page.keyboard.press('+'));
    await act(page.getByTestId(`add-${kind}`).click());
    await expect(page.getByRole('dialog')).toHaveCount(0);
    if (where) await act(page.getByRole('combobox', { name: 'Where' }).selectOption({ label: where }));
  };
  await put('glitter', 'The half moon');
  await put('foil', 'The tip, by a smile line');
  await put('v-french');
  await put('dots');
  await put('bow');
  await put('crystals');
  await put('satin');
  await planned(page);
  const { text } = await exported(page);
  expect(text).toContain('"kind": "moon"');
  await act(page.getByRole('link', { name: 'Plate to top' }).click());
  // The oil up, over the light that the top waits for.
  const oil = page.getByTestId('step-care-oil-1');
  await act(oil.click());
  for (let i = 0; i < 3; i += 1) {
    const at = await oil.getAttribute('data-index');
    await oil.focus();
    await act(page.keyboard.press('Alt+ArrowUp'));
    await expect(oil).not.toHaveAttribute('data-index', at!);
  }
  await planned(page);
  const found = page.getByRole('complementary', { name: 'Findings, and what holds on what' });
  await expect(found).toContainText('Stop');
  await act(page.getByRole('button', { name: 'Why here?' }).click());
  await expect(page.getByText(/^Not (before|after) “/)).not.toHaveCount(0);
  await act(page.getByRole('button', { name: 'Put this nail right' }).click());
  await act(page.getByRole('button', { name: /^Make th(is|ese)/ }).click());
  await planned(page);
  await expect(found).not.toContainText('Stop');
  expect(actions).toBeLessThanOrEqual(60);
});
