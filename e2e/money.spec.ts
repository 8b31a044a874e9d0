import { readFileSync } from 'node:fs'
import { inflateSync } from 'node:zlib'
import { expect, test, type Page } from '@playwright/test'
import { PDFDocument, PDFRawStream } from 'pdf-lib'
import { answerOf, expectAccessible, goTo } from './bench-hand.ts'

/** Opens the demo on its day with a bike. */
async function openDemo(page: Page, bike: string): Promise<void> {
  await page.clock.setSystemTime(new Date('2026-11-26T12:00:00Z'))
  await page.goto('/demo/')
  await expect(answerOf(page)).toBeVisible()
  await page.keyboard.press('b')
  await page.getByRole('menuitem', { name: bike }).click()
}

/** The text of a PDF: its strings are written in hex. */
async function textOf(path: string): Promise<string> {
  const document = await PDFDocument.load(readFileSync(path))
  return document
    .getPages()
    .flatMap((page) => page.node.normalizedEntries().Contents?.asArray() ?? [])
    .map((ref) => document.context.lookup(ref))
    .filter((stream): stream is PDFRawStream => stream instanceof PDFRawStream)
    .map((stream) => inflateSync(stream.contents).toString('latin1'))
    .flatMap((text) => [...text.matchAll(/<([0-9A-F]+)> Tj/gi)])
    .map(([, hex = '']) => Buffer.from(hex, 'hex').toString('latin1'))
    .join(' ')
}

test('from a reading past the limit to a decision, a warning before the chain goes on, a fixed sum and the owner’s sheet', async ({
  page,
}) => {
  test.setTimeout(180_000)
  await openDemo(page, 'Kite')
  await goTo(page, 'Decide')
  await expect(answerOf(page)).toContainText('Swap the chain and cogs together.')
  const why = page.getByRole('region', { name: 'Why' })
  await expect(why).toContainText('almost certainly past 0.75')
  // What the last visit advised has come due.
  await expect(why).toContainText('Left at an earlier visit and due now: New pulleys.')
  await expect(why.getByText(/Next best: ride on another/)).toBeVisible({ timeout: 90_000 })
  await expect(why.getByRole('listitem').filter({ hasText: 'whatever it reads' })).toContainText(
    'swap the chain and cogs together, as now',
  )
  await expect(page.getByRole('region', { name: 'What waiting costs' })).toContainText(
    'The limit is there for what money does not show',
  )

  // Before a new chain goes on: what it will do on these cogs.
  await page.getByRole('link', { name: 'Log the swap' }).click()
  const fit = page.getByRole('region', { name: 'Fit another chain to Kite' })
  await expect(fit).toContainText(/A fresh chain will probably skip on the 13 and 15 .*or keep the old chain/)

  // The owner has 60 euros, and the pads are worn.
  await goTo(page, 'Decide')
  await page.getByRole('link', { name: 'Choose within a sum' }).click()
  await expect(page.getByText(/The choice changes at the marks/)).toBeVisible({ timeout: 60_000 })
  await page.getByRole('button', { name: '+ Brake pads' }).click()
  await page.getByRole('textbox', { name: 'Sum, EUR' }).fill('60')
  await expect(answerOf(page)).toContainText('For €60: new chain, new single cogs')
  await expect(answerOf(page)).toContainText('brake pads')
  await expect(page.getByRole('row', { name: /New ring/ }).first()).toContainText('More than the sum')
  await expectAccessible(page)

  // Less than the pads cost is no safe bike, and says what would be.
  await page.getByRole('textbox', { name: 'Sum, EUR' }).fill('10')
  await expect(page.getByText(/Too little for a safe bike: that takes €15 at least/)).toBeVisible()
  await page.getByRole('textbox', { name: 'Sum, EUR' }).fill('60')
  // Nothing of it is lost with the page.
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Sum, EUR' })).toHaveValue('60', { timeout: 60_000 })
  await expect(answerOf(page)).toContainText('brake pads')

  await page.getByRole('button', { name: 'Write the owner’s sheet' }).click()
  const finish = page.getByRole('dialog', { name: 'What was done, what was left' })
  await expect(finish.getByRole('checkbox', { name: /New chain/ })).toBeChecked()
  await finish.getByRole('textbox', { name: 'Why not: New ring' }).fill('The sum did not reach.')
  await finish.getByRole('button', { name: 'Save the sheet' }).click()
  await expect(answerOf(page)).toHaveText('Kite: what was done, and what comes next')
  await expectAccessible(page)

  // On paper: the whole sheet, and none of the buttons.
  await page.emulateMedia({ media: 'print' })
  await expect(answerOf(page)).toBeVisible()
  await expect(page.getByText('Not done, and why')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Save as PDF' })).toBeHidden()
  await page.emulateMedia({ media: 'screen' })

  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as PDF' }).click()
  const file = await saved
  expect(file.suggestedFilename()).toBe('kite-2026-11-26.pdf')
  const text = await textOf(await file.path())
  for (const said of [
    'Kite: what was done',
    'The chain has lengthened by',
    'New chain:',
    'New ring',
    'The sum did not reach.',
    'What to expect',
    'Take care',
  ])
    expect(text).toContain(said)

  // At the next visit it comes back.
  await page.getByRole('link', { name: 'back to the decision' }).click()
  await expect(page.getByRole('region', { name: 'A job for a fixed sum' })).toContainText(
    /New ringLeft today\. The sum did not reach\. See to it within/,
    { timeout: 60_000 },
  )
})

test('the plan that costs less is followed, and the verdict goes with it', async ({ page }) => {
  test.setTimeout(150_000)
  await openDemo(page, 'Heron')
  await goTo(page, 'Decide')
  const plans = page.getByRole('region', { name: /^Cheapest plan/ })
  await expect(plans).toBeVisible({ timeout: 90_000 })
  await expect(page.getByText(/You are on the plan “replacing at 0\.5.%”/)).toBeVisible()
  await plans.getByRole('button', { name: /^Follow: replacing at 0\.75/ }).click()
  await expect(page.getByRole('region', { name: 'Why' })).toContainText('the plan you follow', {
    timeout: 60_000,
  })
  await expect(page.getByText(/You are on the plan “replacing at 0\.75/)).toBeVisible({ timeout: 90_000 })
  // One press takes the plan and its limit back.
  await page.keyboard.press('u')
  await expect(page.getByText(/You are on the plan “replacing at 0\.5.%”/)).toBeVisible({ timeout: 90_000 })

  // A plan of one's own is compared before it is followed.
  await plans.getByText('A plan of your own').click()
  await plans.getByRole('button', { name: 'Chains in turn: more' }).click()
  await plans.getByRole('button', { name: 'New chain at, %: more' }).click()
  await plans.getByRole('button', { name: 'Compare it' }).click()
  await expect(plans.getByRole('row', { name: /two chains in turn to 0\.55/ })).toBeVisible({
    timeout: 90_000,
  })

  // What one minds moves every figure, and shows where it tips.
  const minds = page.getByRole('region', { name: 'How much do you mind?' })
  await minds.getByRole('slider', { name: 'I would pay to be spared one skip' }).fill('3000')
  await minds.getByRole('button', { name: 'Save what you mind' }).click()
  await expect(page.getByText('Prices saved.', { exact: true })).toBeVisible()

  // Money that was spent, beside what the plan says.
  const money = page.getByRole('region', { name: 'What it has really cost' })
  await expect(money).toContainText(/since .*per 1000.km\./)
  await money.getByRole('button', { name: 'Add a cost' }).click()
  const cost = page.getByRole('dialog', { name: 'A cost of Heron' })
  await cost.getByLabel('For what').fill('Bar tape')
  await cost.getByLabel('How much').fill('-3')
  await cost.getByRole('button', { name: 'Save' }).click()
  await expect(cost.getByRole('alert')).toContainText('cannot be below 0')
  await cost.getByLabel('How much').fill('17.50')
  await cost.getByRole('button', { name: 'Save' }).click()
  await money.getByText('each of them').click()
  await expect(money.getByRole('listitem').filter({ hasText: 'Bar tape' })).toContainText('€17.50')
  await page.setViewportSize({ width: 390, height: 844 })
  await expectAccessible(page)
})

test('the shelf by count, what fits, what to buy, and a supplier that is not always there', async ({
  page,
}) => {
  test.setTimeout(150_000)
  const faults = (switches: object) => page.request.post('/api/parts-supplier/faults', { data: switches })
  await openDemo(page, 'Heron')
  await page.keyboard.press('g')
  await page.keyboard.press('s')
  const stock = page.getByRole('region', { name: 'In stock' })
  const chain = stock.getByRole('listitem').filter({ hasText: 'Plain chain, 11 speeds' })
  await expect(chain).toContainText('fits')
  await expect(stock.getByRole('listitem').filter({ hasText: 'Plain chain, 9 speeds' })).toContainText(
    'Differs: number of speeds.',
  )
  await stock.getByRole('button', { name: 'Bought Plain chain, 11 speeds' }).click()
  const bought = page.getByRole('dialog', { name: 'Bought: Plain chain, 11 speeds' })
  await bought.getByRole('button', { name: 'How many: more' }).click()
  await bought.getByLabel('Paid for all of them').fill('56')
  await bought.getByRole('button', { name: 'Save' }).click()
  await expect(chain).toContainText('last paid €28')
  await stock.getByRole('button', { name: 'Use one Plain chain, 11 speeds on Heron' }).click()
  await expect(page.getByText('One chain used on Heron.', { exact: true })).toBeVisible()
  await page.keyboard.press('u')
  await expectAccessible(page)

  const list = page.getByRole('region', { name: /^To buy for the next/ })
  await expect(list.getByRole('listitem').filter({ hasText: 'for Kite, due now' })).toBeVisible({
    timeout: 90_000,
  })
  await expect(list.getByRole('listitem').filter({ hasText: 'Pair of pulleys' })).toContainText('for Kite')
  // The supplier has a fault each time: the list stands all the same.
  await faults({ failEvery: 1 })
  await list.getByRole('button', { name: /^Ask the/ }).click()
  await expect(list.getByRole('status')).toContainText(/Trying again in/)
  await list.getByRole('button', { name: 'Stop asking' }).click()
  await expect(list.getByRole('status')).toHaveText('Stopped. The list stands without prices.')
  await faults({})
  await list.getByRole('button', { name: /^Ask the/ }).click()
  await expect(list.getByRole('status')).toContainText('things in the catalogue')
  // Pulleys are not to be had: a whole derailleur stands in.
  await expect(list.getByRole('listitem').filter({ hasText: 'Pair of pulleys' })).toContainText(
    /Instead: Rear derailleur/,
  )
  await page.setViewportSize({ width: 390, height: 844 })
  await expectAccessible(page)
})
