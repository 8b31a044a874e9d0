import { expect, test, type Browser, type Page } from '@playwright/test'
import { addBike, answerOf, asBackup, daysAgo, goTo, goToFiles, saveBackup } from './bench-hand.ts'

test.setTimeout(240_000)

/** A device of its own, that somebody works on. */
async function deviceOf(browser: Browser, name: string): Promise<Page> {
  const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage()
  await page.goto('/files')
  await page.getByLabel('Your name').fill(name)
  await page.getByRole('button', { name: 'Save the name' }).click()
  await expect(page.getByText(new RegExp(`carries .*${name}`))).toBeVisible()
  return page
}

async function bringIn(page: Page, name: string, text: string): Promise<void> {
  await goToFiles(page)
  await page.getByLabel('Backup file').setInputFiles(asBackup(name, text))
  await expect(page.getByText(new RegExp(`came in new from ${name}`))).toBeVisible()
}

async function swapChain(page: Page, day: string): Promise<void> {
  await page.goto('/shelf')
  const guide = page.getByRole('region', { name: 'Fit another chain to Tern' })
  await guide.getByLabel('Day').fill(day)
  await guide.getByRole('button', { name: 'Log the chain' }).click()
  await expect(answerOf(page)).toContainText('on chain 2 for')
}

test('three mechanics, three devices: who did what is written, and two swaps of a chain are a question', async ({
  browser,
}) => {
  const day = daysAgo(3)
  const ada = await deviceOf(browser, 'Ada')
  await addBike(ada)
  await ada.keyboard.press('Escape')
  await goToFiles(ada)
  const start = await saveBackup(ada)

  // Bo and Cy each find the chain worn on the same day, and neither knows of the other.
  const bo = await deviceOf(browser, 'Bo')
  const cy = await deviceOf(browser, 'Cy')
  for (const page of [bo, cy]) {
    await bringIn(page, 'start.json', start)
    await swapChain(page, day)
  }
  await goToFiles(bo)
  await bringIn(ada, 'bo.json', await saveBackup(bo))
  await goToFiles(cy)
  await bringIn(ada, 'cy.json', await saveBackup(cy))

  await goTo(ada, 'Today')
  const asked = ada.getByRole('region', { name: 'Entries that contradict' })
  await expect(asked).toContainText(/Tern: Chain 1 was swapped twice on .*Which swap is right\?/)
  await expect(asked.getByText(/^Bo, /)).toBeVisible()
  await expect(asked.getByText(/^Cy, /)).toBeVisible()
  await asked.getByRole('button', { name: /^This one is right: Bo/ }).click()
  await expect(asked).toHaveCount(0)

  // One chain is on, and who put it there is in the log.
  await ada.goto('/log')
  await ada.getByLabel('Find').fill('Bo')
  await expect(ada.getByRole('region', { name: 'Entries', exact: true })).toContainText('Bo')

  // What was settled goes round like any other entry: Cy is not asked again.
  await goToFiles(ada)
  await bringIn(cy, 'ada.json', await saveBackup(ada))
  await goTo(cy, 'Today')
  await expect(answerOf(cy)).toBeVisible()
  await expect(cy.getByRole('region', { name: 'Entries that contradict' })).toHaveCount(0)
})
