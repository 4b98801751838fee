import { expect, test, type Page } from '@playwright/test';
import { complaints, made, placeRow, reload, seeded, toStage } from './bench';

const DAY_MS = 86_400_000;

/** The own workshop with one bicycle that was looked at, signed and proved so many days ago. */
async function whole(page: Page, daysAgo: number): Promise<void> {
  const at = new Date(Date.now() - daysAgo * DAY_MS).toISOString();
  await seeded(page, made('whole', at));
  await page.goto('/bike?id=b1&stage=prove&workshop=own');
}

test('a whole bicycle goes out ready; what is found or taken off keeps it in; as it is it may always go', async ({
  page,
}) => {
  test.setTimeout(180_000);
  const heard = complaints(page);
  await whole(page, 1);
  const law = page.getByRole('main').getByRole('status').first();
  await expect(law).toContainText('Ready, as far as it was signed');
  await page.goto('/');
  await expect(page.getByRole('main')).toContainText('Ready, as far as it was signed');
  await page.goto('/bike?id=b1&stage=look-over');

  await test.step('a tyre is found unsafe, and Prove says where it is put right', async () => {
    await placeRow(page, 'Front tyre').click();
    await page.getByRole('group', { name: 'By eye' }).getByRole('button', { name: 'Unsafe' }).click();
    await toStage(page, 'prove');
    await expect(law).toContainText('Not ready');
    await expect(law).toContainText('Front tyre: unsafe as last seen');
    await reload(page);
    await expect(law).toContainText('Not ready');
  });

  await test.step('it cannot go out ready; as it is it goes, with what stands open in writing', async () => {
    await toStage(page, 'hand-over');
    await expect(page.getByRole('button', { name: 'It goes out ready' })).toBeDisabled();
    await page.getByRole('button', { name: 'As it is', exact: true }).click();
    await page.getByLabel('Who takes it').fill('The ferry museum');
    await page.getByLabel('They were told what stands open, today').check();
    await page.getByRole('button', { name: 'It goes as it is' }).click();
    await expect(page.locator('#sheet')).toContainText('Not roadworthy, not to be ridden');
    await expect(page.locator('#sheet')).toContainText('Unsafe as last seen: Front tyre');
    await page.getByRole('button', { name: /has not gone out/ }).click();
  });

  await test.step('looked at again it is fine; ready once more, and out', async () => {
    await page
      .getByRole('navigation', { name: 'Stages' })
      .getByRole('link', { name: /Look over/ })
      .click();
    const tyre = placeRow(page, 'Front tyre');
    if ((await tyre.getAttribute('aria-expanded')) !== 'true') await tyre.click();
    await page.getByRole('button', { name: 'Sound', exact: true }).click();
    await expect(tyre).toContainText('Fine');
    await toStage(page, 'hand-over');
    await page.getByRole('button', { name: 'Ready', exact: true }).click();
    await page.getByLabel('Packed for carriage').check();
    await page.getByRole('button', { name: 'It goes out ready' }).click();
    await expect(page.getByText(/Went out ready/)).toBeVisible();
    await expect(page.locator('#sheet')).toContainText('Proved and signed as listed below');
    await expect(page.locator('#sheet')).toContainText('Packed for carriage: put together before the first ride');
  });
  expect(heard).toEqual([]);
});

test('a proof of five weeks ago asks for two minutes, and for no more', async ({ page }) => {
  await whole(page, 35);
  const law = page.getByRole('main').getByRole('status').first();
  await expect(law).toContainText('One thing stands in the way');
  await page.getByRole('button', { name: 'All of it holds' }).click();
  await expect(law).toContainText('Ready, as far as it was signed');
});
