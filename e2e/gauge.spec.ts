import { readFileSync } from 'node:fs'
import { inflateSync } from 'node:zlib'
import { expect, test, type Page } from '@playwright/test'
import { addBike, answerOf, expectAccessible, goTo, readWithRule } from './bench-hand.ts'

const readScale = async (page: Page, percent: string) => {
  await page.getByRole('radio', { name: 'two-contact scale' }).check()
  await page.getByLabel('On the scale, %', { exact: true }).fill(percent)
  await page.getByRole('button', { name: 'Save the reading' }).click()
  await expect(page.getByLabel('On the scale, %', { exact: true })).toHaveValue('')
}

test('two instruments disagree; it is explained, and a third settles it', async ({ page }) => {
  await addBike(page)
  await goTo(page, 'Miles')
  await page.getByLabel('Distance, km').fill('1900')
  await page.getByRole('button', { name: 'Add the ride' }).click()
  await expect(answerOf(page)).toContainText('km')
  await goTo(page, 'Gauge')

  await test.step('a gauge says one thing, a rule another', async () => {
    for (const percent of ['1.00', '0.95', '1.00']) await readScale(page, percent)
    for (const length of ['306.0', '306.5', '306.0']) await readWithRule(page, length)
    await expect(answerOf(page)).toContainText(
      /Two instruments disagree: the two-contact scale says 0\.\d\d, the rule says 0\.\d\d\./,
    )
    await expect(
      page.getByText(
        /Likeliest: loose rollers.*A caliper inside and outside the same rollers would settle it\./,
      ),
    ).toBeVisible()
  })

  await test.step('each alone is shown beside what they make together', async () => {
    const alone = page.getByRole('list', { name: 'What each alone says' })
    await expect(alone).toContainText('two-contact scale alone')
    await expect(alone).toContainText('rule alone')
  })

  await test.step('what the next reading would be worth is told, and one tap takes it in hand', async () => {
    await expect(page.getByText(/The chance that the verdict is wrong is 1 in/)).toBeVisible()
    await page.getByRole('button', { name: 'Take it with the caliper' }).click()
    await expect(page.getByRole('radio', { name: 'caliper', exact: true })).toBeChecked()
  })

  await test.step('the caliper, taken three times, decides for the rule', async () => {
    for (const extra of [0, 0.02, 0.01]) {
      await page.getByLabel('Inside, mm', { exact: true }).fill((94.61 + extra).toFixed(2))
      await page.getByLabel('Outside, mm', { exact: true }).fill('109.51')
      await page.getByRole('button', { name: 'Save the reading' }).click()
      await expect(page.getByLabel('Inside, mm', { exact: true })).toHaveValue('')
    }
    await expect(
      page.getByText(/The caliper sides with the rule: the two-contact scale reads about 0\.\d\d high here/),
    ).toBeVisible()
    await expect(answerOf(page)).toContainText('Tern’s chain is at')
    const scale = page.getByRole('checkbox', { name: /two-contact scale, scale at/ })
    for (let i = 0; i < 3; i++) {
      await scale.nth(i).click()
      await expect(scale.nth(i)).not.toBeChecked()
    }
    await expect(answerOf(page)).toContainText(/Tern’s chain is at 0\.[45]\d\u00a0%/)
  })
})

test('the caliper’s stream goes through a drop-out, and what came is kept', async ({ page }) => {
  await addBike(page)
  await goTo(page, 'Gauge')
  const caliper = page.getByRole('region', { name: 'Caliper with a data button' })
  await caliper.getByRole('button', { name: 'Connect' }).click()
  await expect(caliper.getByRole('status')).toContainText('Connected')
  await caliper.getByText('the stand-in for a caliper').click()
  await caliper.getByLabel('Drops out after', { exact: true }).fill('1')
  await caliper.getByLabel('Noise, mm', { exact: true }).fill('0')
  const press = caliper.getByRole('button', { name: 'Press its button' })
  await press.click()
  await expect(page.getByLabel('Inside, mm', { exact: true })).toHaveValue('94.71')
  await expect(caliper.getByRole('status')).toContainText(/Connection lost\. What came is kept|Connected/)
  await expect(page.getByLabel('Inside, mm', { exact: true })).toHaveValue('94.71')
  await expect(caliper.getByRole('status')).toContainText('Connected')
  await caliper.getByLabel('Battery low').check()
  // The new settings begin with the inside again, which the panel takes for the outside: it goes by what it lacks.
  await press.click()
  await expect(caliper.getByRole('status')).toContainText('Its battery is low')
  await page.getByLabel('Outside, mm', { exact: true }).fill('109.71')
  await page.getByRole('button', { name: 'Save the reading' }).click()
  await expect(page.getByRole('checkbox', { name: /caliper, 8 pitches/ })).toBeVisible()
})

/** A caliper that types sends its digits and Enter in one burst, however busy the machine is that hears it. */
const caliperSends = (page: Page, digits: string): Promise<void> =>
  page.evaluate(
    (keys) => {
      for (const key of keys)
        document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
    },
    [...digits, 'Enter'],
  )

test('a caliper that types is heard from anywhere on the station', async ({ page }) => {
  await addBike(page)
  await goTo(page, 'Gauge')
  await answerOf(page).click()
  await caliperSends(page, '94.71')
  await caliperSends(page, '109.71')
  await expect(page.getByLabel('Inside, mm', { exact: true })).toHaveValue('94.71')
  await expect(page.getByLabel('Outside, mm', { exact: true })).toHaveValue('109.71')
})

test('the strip comes out at true scale on the paper chosen', async ({ page }) => {
  await addBike(page)
  await goTo(page, 'Gauge')
  await page.getByLabel('Paper').selectOption('letter')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save the sheet as PDF' }).click()
  const pdf = readFileSync(await (await download).path())
  const text = pdf.toString('latin1')
  expect(text.startsWith('%PDF-')).toBe(true)
  // Streams are deflated; their lines are "x y m x y l", in points.
  const streams = [...text.matchAll(/stream\r?\n/g)].map((match) => {
    const from = (match.index ?? 0) + match[0].length
    try {
      return inflateSync(pdf.subarray(from, text.indexOf('endstream', from))).toString('latin1')
    } catch {
      return ''
    }
  })
  expect(streams.join('\n')).toMatch(/792 612/)
  const uprightOf = (stream: string): number[] =>
    [...stream.matchAll(/([\d.]+) ([\d.]+) m\s+([\d.]+) ([\d.]+) l/g)]
      .map((match) => match.slice(1).map(Number))
      .filter(([x1 = 0, , x2 = 1]) => Math.abs(x1 - x2) < 1e-6)
      .map(([x = NaN]) => x)
  const hasStrip = streams.some((stream) => {
    const upright = uprightOf(stream)
    const zero = Math.min(...upright)
    return [0, 0.25, 0.5, 0.75, 1].every((percent) =>
      upright.some((x) => Math.abs(x - zero - 720 * (1 + percent / 100)) < 0.05),
    )
  })
  expect(hasStrip).toBe(true)
})

test('a draft outlives a reload, and the bench mode is large and accessible', async ({ page }) => {
  await addBike(page)
  await goTo(page, 'Gauge')
  await page.getByRole('radio', { name: 'printed strip' }).check()
  await page.getByLabel('Length, mm', { exact: true }).fill('255.2')
  await page.reload()
  await expect(page.getByRole('radio', { name: 'printed strip' })).toBeChecked()
  await expect(page.getByLabel('Length, mm', { exact: true })).toHaveValue('255.2')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('menuitem', { name: /Bench mode/ }).click()
  const more = await page.getByRole('button', { name: 'Length, mm: more' }).boundingBox()
  expect(Math.min(more?.width ?? 0, more?.height ?? 0)).toBeGreaterThanOrEqual(48)
  await expectAccessible(page)
})
