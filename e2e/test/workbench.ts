import { randomUUID } from 'node:crypto';
import { expect, type Locator, type Page } from '@playwright/test';

/** What people do with the sheet, in their words. */
export const demo = {
  davor: '/players/7a5c4e00-0001-4000-8000-000000000000',
  maren: '/players/7a5c4e00-0002-4000-8000-000000000000',
  oluchi: '/players/7a5c4e00-0003-4000-8000-000000000000',
  pim: '/players/7a5c4e00-0004-4000-8000-000000000000',
};

/** A player is added as people do it, and their bag is open. */
export async function addPlayer(page: Page, name: string, unit: 'yards' | 'metres'): Promise<void> {
  await page.goto('/roster');
  await page.getByRole('button', { name: 'Add a player' }).click();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await choose(page.getByRole('combobox', { name: 'Carries in' }), unit);
  await page.getByRole('button', { name: 'Add and enter the bag' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(name);
  await expect(page.getByRole('grid')).toBeVisible();
}

/** A player without clubs is there, and their bag open: for jobs that begin after that. */
export async function newPlayer(
  page: Page,
  name: string,
  unit: 'yards' | 'metres' = 'yards',
): Promise<string> {
  const id = randomUUID();
  const player = { id, name, hand: 'right', distanceUnit: unit === 'yards' ? 'yd' : 'm' };
  const answer = await page.request.post('/api/changes', {
    data: {
      id: randomUUID(),
      commands: [
        { do: 'addPlayer', player },
        { do: 'addBag', bag: { id: randomUUID(), playerId: id, name: 'Gamer' }, clubIds: [] },
      ],
    },
  });
  expect(answer.status(), await answer.text()).toBe(200);
  await page.goto(`/players/${id}/bag`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText(name);
  await expect(page.getByRole('grid')).toBeVisible();
  return id;
}

export function cell(page: Page, club: string, column: string): Locator {
  return page.getByRole('grid').locator(`tr[data-name="${club}"] td[data-column="${column}"]`);
}

export async function paste(page: Page, text: string): Promise<void> {
  await page.evaluate((value) => navigator.clipboard.writeText(value), text);
  await page.keyboard.press('ControlOrMeta+v');
}

/** Chooses from a list of choices by its words. */
export async function choose(field: Locator, words: string | RegExp): Promise<void> {
  const page = field.page();
  await field.click();
  const option = page.getByRole(
    'option',
    typeof words === 'string' ? { name: words, exact: true } : { name: words },
  );
  await option.click();
  await expect(page.getByRole('listbox')).toHaveCount(0);
}

/** An action behind the menu of a plan. */
export async function fromMenu(page: Page, action: string): Promise<void> {
  await page.getByRole('button', { name: 'More for this plan' }).click();
  await page.getByText(action, { exact: true }).click();
}

/** Opens a part of a page that is folded under its heading, and gives it. */
export async function unfolded(page: Page, name: string): Promise<Locator> {
  const part = page.getByRole('region', { name });
  const head = part.locator('.fold-head');
  // By key: what arrives between press and release of a mouse may move the head away from under it.
  if ((await head.getAttribute('aria-expanded')) === 'false') await head.press('Enter');
  await expect(head).toHaveAttribute('aria-expanded', 'true');
  return part;
}

/** Up to a page that the page lies under. */
export const up = (page: Page, to: string) =>
  page.getByRole('navigation', { name: 'Breadcrumb' }).getByRole('link', { name: to, exact: true }).click();

/** Everything typed has reached the server. */
export async function saved(page: Page): Promise<void> {
  await expect
    .poll(() =>
      page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('tasche.outbox/')).length),
    )
    .toBe(0);
}

/** The clubs on the sheet, once there is a sheet. */
export async function names(page: Page): Promise<(string | undefined)[]> {
  const rows = page.getByRole('grid').locator('tbody tr');
  await rows.first().waitFor();
  return rows.evaluateAll((all) => all.map((row) => (row as HTMLElement).dataset.name));
}

export const verdict = (page: Page) => page.locator('.verdict-card');
