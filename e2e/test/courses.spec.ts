import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { choose, saved } from './workbench';

const file = (page: Page, name: string, text: string) =>
  page
    .getByLabel('File of a course')
    .setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
/** A hole of so many metres to the east, as a map would draw it. */
const line = (hole: number, metres: number) => ({
  type: 'Feature',
  properties: { ref: String(hole), par: metres > 400 ? 5 : 4 },
  geometry: {
    type: 'LineString',
    coordinates: [
      [hole, 0],
      [hole + metres / 111_195.08, 0],
    ],
  },
});
const map = (count: number, metres = 380) =>
  JSON.stringify({
    type: 'FeatureCollection',
    features: [
      ...Array.from({ length: count }, (_one, i) => line(i + 1, metres)),
      { type: 'Feature', properties: { natural: 'water' }, geometry: { type: 'Polygon', coordinates: [] } },
    ],
  });
const LIST = [
  '\uFEFFHole;White (yds);Par;Red [yd];SI',
  ...Array.from(
    { length: 18 },
    (_one, i) =>
      `${i + 1};${i % 3 === 1 ? '172,5' : '401'};${i % 3 === 1 ? 3 : 4};${i % 3 === 1 ? 150 : 360};${18 - i}`,
  ),
  'Total;5900;66;5300;',
].join('\r\n');

test('a course is recorded from a messy list and from a map, fixed by hand, given a season, saved and deleted; nothing wrong is taken', async ({
  page,
}) => {
  await page.goto('/courses');
  await page.getByRole('button', { name: 'Add a course' }).click();
  await expect(page.getByText('No holes yet.')).toBeVisible();
  // The name waits to be typed over.
  await expect(page.getByLabel('Name', { exact: true })).toBeFocused();
  await page.keyboard.type('Küste & <b>Heide</b>');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('navigation', { name: 'Courses' })).toContainText('Küste & <b>Heide</b>');

  const holds = page.getByRole('region', { name: 'What the file holds' });
  await file(page, 'seven.geojson', map(7));
  await expect(holds.getByRole('alert')).toContainText('holes must be 9 or 18, not 7');
  await expect(holds.getByRole('button', { name: /^Import it/ })).toBeDisabled();
  await file(page, 'empty.geojson', map(9, 0.5));
  await expect(holds.getByRole('alert')).toContainText(
    /hole 1: length from \S+ must be between 40 and 700 m, not/,
  );
  await file(page, 'notes.csv', 'just some text');
  await expect(holds.getByRole('alert')).toContainText('No column is headed "hole"');
  await file(page, 'list.csv', LIST);
  await expect(holds).toContainText('18 holes');
  await expect(holds).toContainText('Ignored: ');
  await holds.getByRole('button', { name: /^Import it/ }).click();
  const cell = (column: string, hole: number) =>
    page.getByLabel(`${column} of hole ${hole}`, { exact: true });
  await expect(cell('White', 2)).toHaveValue('158');
  await expect(cell('Par', 2)).toHaveValue('3');

  // By hand: a hole of nothing is refused by name and stays as typed; hazards in words; rows of a spreadsheet.
  await cell('White', 4).fill('0');
  await cell('White', 4).press('Tab');
  await expect(page.getByRole('alert')).toContainText(
    'Hole 4: Length from White must be between 40 and 700 m, not “0”.',
  );
  await expect(cell('White', 4)).toHaveValue('0');
  await cell('White', 4).fill('372');
  await cell('White', 4).press('Enter');
  await expect(cell('White', 5)).toBeFocused();
  await cell('Hazards', 1).fill('bunker left 225-260; swamp');
  await cell('Hazards', 1).press('Tab');
  await expect(page.getByRole('alert')).toContainText('Hole 1: “swamp” is not understood');
  await cell('Hazards', 1).fill('bunker left 225-260; water across 300-320');
  await cell('Hazards', 1).press('Tab');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.evaluate(() => navigator.clipboard.writeText('90\t2\n180\t-3\n270\t0'));
  await cell('Bearing', 1).focus();
  await page.keyboard.press('ControlOrMeta+v');
  await expect(cell('Bearing', 3)).toHaveValue('270');
  await expect(cell('Rise', 2)).toHaveValue('-3');
  await saved(page);

  await page.getByRole('button', { name: /^Seasons/ }).click();
  await choose(page.getByLabel('Template'), 'winter');
  await expect(
    page.getByRole('group', { name: 'Air and ground of winter' }).getByLabel('Fairways'),
  ).toHaveText('soaked');
  await page.getByRole('button', { name: 'Holes', exact: true }).click();

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as GeoJSON' }).click(),
  ]);
  const written = readFileSync((await download.path())!, 'utf8');
  expect(JSON.parse(written)).toMatchObject({ type: 'FeatureCollection', features: { length: 18 } });
  await file(page, 'again.geojson', written);
  await expect(holds).toContainText('18 holes');
  await expect(holds.getByRole('alert')).toHaveCount(0);
  await holds.getByRole('button', { name: /^Import it/ }).click();
  await expect(cell('Hazards', 1)).toHaveValue('bunker left 225-260; water across 300-320');
  await expect(cell('Red', 1)).toHaveValue('329');
  await file(page, 'map.geojson', map(9));
  await holds.getByRole('button', { name: /^Import it/ }).click();
  await expect(cell('Bearing', 9)).toHaveValue('90');
  await expect(cell('White', 9)).toHaveValue('380');
  await expect(cell('White', 10)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell('White', 10)).toBeVisible();

  // A card as it is printed, its holes side by side, pasted on the page; its lengths name no unit.
  const nine = [1, 2, 3, 4, 5, 6, 7, 8, 9];
  const card = [['Heide Golf'], ['HOLE', ...nine, 'OUT'], ['Gold', ...nine.map(() => 400), 3600]];
  await page.evaluate(
    (text) => navigator.clipboard.writeText(text),
    card.map((row) => row.join('\t')).join('\n'),
  );
  await page.getByRole('heading', { name: 'Courses' }).click();
  await page.keyboard.press('ControlOrMeta+v');
  await expect(holds).toContainText('What was pasted: 9 holes');
  await choose(holds.getByLabel('Unit of the lengths'), 'yards');
  await expect(holds).toContainText('Gold, 3292 m');
  await holds.getByRole('button', { name: /^Import it/ }).click();
  await expect(cell('Gold', 9)).toHaveValue('366');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell('White', 10)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(cell('White', 10)).toBeVisible();
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.getByRole('navigation', { name: 'Courses' })).not.toContainText('Heide');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('navigation', { name: 'Courses' })).toContainText('Heide');
  await saved(page);
});

test('a season template is made, refused where it cannot be, and taken back; a course that is played cannot be deleted', async ({
  page,
}) => {
  await page.goto('/seasons');
  await expect(page.getByRole('group', { name: 'Air and ground of summer' })).toBeVisible();
  await page.getByRole('button', { name: 'Add a season' }).click();
  const fresh = page.getByRole('group', { name: 'Air and ground of new season' });
  await fresh.getByLabel('Green speed').fill('11');
  await fresh.getByLabel('Green speed').press('Tab');
  await expect(page.getByRole('alert')).toContainText('Green speed must be between 1.5 and 4.5 m, not “11”.');
  await fresh.getByLabel('Green speed').fill('3,3');
  await fresh.getByLabel('Green speed').press('Tab');
  await choose(fresh.getByLabel('Fairways'), 'baked');
  await saved(page);
  await page.reload();
  await expect(fresh.getByLabel('Green speed')).toHaveValue('3.3');
  await page.getByRole('button', { name: 'Delete new season' }).click();
  await expect(fresh).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(fresh.getByLabel('Fairways')).toHaveText('baked');
  await page.getByRole('button', { name: 'Delete new season' }).click();
  await saved(page);
  await page.goto('/courses');
  await page.getByRole('link', { name: /^Hochfirn/ }).click();
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText(
    'Hochfirn is played at Hochfirn Open. Take it off that event first.',
  );
  await expect(page.getByRole('navigation', { name: 'Courses' })).toContainText('Hochfirn');
});
