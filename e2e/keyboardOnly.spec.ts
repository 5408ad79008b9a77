import { expect, type Locator } from '@playwright/test';
import { pressOn, settled, stripByKey } from './bench';
import { test } from './test';

test('from sign-in to hand-back without a mouse', async ({ page }) => {
  test.setTimeout(240_000);
  const { keyboard } = page;
  /** Tabs on until the thing has the focus, as somebody without a mouse does. */
  const tabTo = async (
    name: string | RegExp,
    role: 'button' | 'link' | 'textbox' | 'checkbox' | 'combobox' = 'button',
  ) => {
    const target = page.getByRole(role, { name, ...(typeof name === 'string' ? { exact: true } : {}) }).first();
    await expect(target).toBeVisible();
    for (let i = 0; i < 160; i++) {
      if (await target.evaluate((e) => e === document.activeElement)) return;
      await keyboard.press('Tab');
    }
    throw new Error(`Never reached by Tab: ${String(name)}`);
  };
  const press = async (name: string | RegExp, role: 'button' | 'link' | 'checkbox' = 'button') => {
    await tabTo(name, role);
    await keyboard.press(role === 'checkbox' ? 'Space' : 'Enter');
  };

  await page.goto('/sign-in');
  await tabTo('Name', 'textbox');
  await keyboard.type('demo');
  await keyboard.press('Tab');
  await keyboard.type('salt marsh bench');
  await keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Bench', exact: true })).toBeVisible();

  await settled(page);
  await keyboard.press('g');
  await keyboard.press('t');
  await expect(page.getByRole('combobox', { name: /^Tag, serial/ })).toBeFocused();
  await press('New machine', 'checkbox');
  await tabTo('Model', 'combobox');
  await keyboard.press('Enter');
  await keyboard.type('Mire');
  await keyboard.press('Enter');
  await press('New customer', 'checkbox');
  await tabTo('Name', 'textbox');
  await keyboard.type('Nell Ormsay');
  await tabTo('In their own words', 'textbox');
  await keyboard.type('The brush just sits there');
  await expect(page.getByRole('status', { name: 'Heard in their words' })).toContainText('Roll does not turn');
  await keyboard.press('Alt+1');
  await keyboard.press('Control+Enter');
  await expect(page).toHaveURL(/\/jobs\/\d+\/find$/);

  const card = page.getByRole('region', { name: 'Check on the bench' });
  const pick = async (check: string) => {
    if (!(await card.getByRole('heading', { name: check }).isVisible())) {
      await tabTo('Find a check', 'textbox');
      await keyboard.type(check);
      await keyboard.press('Enter');
    }
    await expect(card.getByRole('heading', { name: check })).toBeVisible();
  };
  await pick('Turn the roll by hand');
  await press(/no resistance at all/);
  await pick('Sole plate off, look');
  await press(/missing or in pieces/);
  await expect(page.getByText(/^Cause proved:/)).toBeVisible();
  await press('To Agree');
  await expect(page).toHaveURL(/agree$/);
  // The offer is put to the owner and answered without a pointer.
  await expect(page.getByRole('button', { name: 'Put it to the owner' })).toBeEnabled();
  await keyboard.press('Control+Enter');
  await press(/^Yes: the least we stand behind/);
  await expect(page.getByRole('heading', { name: /^Agree Agreed/ })).toBeVisible();
  await press('To Strip');
  await expect(page.getByRole('heading', { name: 'Strip', exact: true })).toBeVisible();
  await stripByKey(page, 'Enter');
  await expect(page.getByText('What the repair needs lies open.')).toBeVisible();
  await keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Fit', exact: true })).toBeVisible();
  const focusOn = async (target: Locator) => {
    for (let t = 0; t < 160 && !(await target.evaluate((e) => e === document.activeElement)); t++)
      await keyboard.press('Tab');
  };
  const now = page.getByRole('region', { name: 'Now' });
  await expect(now).toBeVisible();
  const line = now.locator('p').first();
  while ((await line.count()) > 0) await pressOn(page, line, 'Enter');
  await expect(page.getByRole('checkbox', { checked: false })).toHaveCount(0);
  await press('To Prove');
  await expect(page.getByRole('heading', { name: 'Prove', exact: true })).toBeVisible();
  for (let i = 0; i < 16; i++) {
    const open = page
      .locator('[role=group]')
      .filter({ has: page.getByRole('button', { name: 'Passed', pressed: false }) })
      .first();
    if ((await open.count()) === 0) break;
    const label = (await open.getAttribute('aria-label'))!;
    const group = page.getByRole('group', { name: label, exact: true });
    const button = group.getByRole('button', { name: 'Passed' });
    for (const [field, words] of [
      ['By which rules', 'Rules in force here'],
      ['Readings', 'Insulation 50 MΩ'],
    ] as const)
      if ((await group.getByLabel(field).count()) > 0) {
        await focusOn(group.getByLabel(field));
        await keyboard.type(words);
      }
    await focusOn(button);
    await keyboard.press('Enter');
    await expect(button).toHaveAttribute('aria-pressed', 'true');
  }
  await press('To Hand back');
  await expect(page).toHaveURL(/hand-back$/);
  await press('Hand back and close');
  await expect(page.getByText(/^Handed back \d{4}-/)).toBeVisible();
});
