import { readFileSync } from 'node:fs'
import { expect, test, type Download, type Page } from '@playwright/test'
import { pagesOf, sizesOf } from '../test/pdf-text.ts'
import { answerOf, goTo } from './bench-hand.ts'

async function sheetFrom(page: Page, button: string): Promise<Download> {
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: button }).click()
  return download
}
const bytesOf = async (download: Download): Promise<Uint8Array> => readFileSync(await download.path())
const textOf = async (bytes: Uint8Array): Promise<string> =>
  (await pagesOf(bytes)).join(' ').replaceAll(/\s+/g, ' ')

test('what is done away from the screen goes on paper: the round, the wash, the road', async ({ page }) => {
  await page.clock.setSystemTime('2026-11-26T12:00:00Z')
  await page.goto('/demo/')
  await expect(answerOf(page)).toContainText('Start with')

  await test.step('a round of checks, on the paper of the place: A4', async () => {
    await page.keyboard.press('g')
    await page.keyboard.press('c')
    await expect(answerOf(page)).toContainText('Heron')
    await page.getByLabel('Sheet', { exact: true }).selectOption('Monthly round')
    const download = await sheetFrom(page, 'The round on paper (PDF)')
    expect(download.suggestedFilename()).toBe('heron-monthly-round.pdf')
    const bytes = await bytesOf(download)
    const [[width = 0, height = 0] = []] = await sizesOf(bytes)
    expect([Math.round(width), Math.round(height)]).toEqual([210, 297])
    const text = await textOf(bytes)
    for (const place of ['Rear wheel', 'Headset and bars', 'Fork and front wheel', 'Passes:'])
      expect(text).toContain(place)
  })

  await test.step('the plan of the next wash, on Letter; every sheet keeps to it from then on', async () => {
    await goTo(page, 'Wash')
    const plan = page.getByRole('region', { name: /^The next wash/ })
    await plan.getByLabel('Paper').selectOption('letter')
    const bytes = await bytesOf(await sheetFrom(page, 'The plan on paper (PDF)'))
    const text = await textOf(bytes)
    expect(text).toContain('The wash of Heron')
    expect(text).toMatch(/Minute 0: /)
    expect(text).toContain('Careful')
  })

  await test.step('the whole road, with its chains', async () => {
    await goTo(page, 'Miles')
    const download = await sheetFrom(page, 'The road on paper (PDF)')
    expect(download.suggestedFilename()).toBe('heron-road.pdf')
    const bytes = await bytesOf(download)
    const [[width = 0, height = 0] = []] = await sizesOf(bytes)
    expect([Math.round(width), Math.round(height)]).toEqual([216, 279])
    const text = await textOf(bytes)
    expect(text).toContain('The road of Heron')
    expect(text).toMatch(/Chain 4, fitted 25 May/)
  })
})
