import { expect, test, type Page } from '@playwright/test'
import { addBike, answerOf, expectAccessible, goTo } from './bench-hand.ts'

const STATIONS = [
  ['Today', 't', '/'],
  ['Miles', 'm', '/miles'],
  ['Gauge', 'g', '/gauge'],
  ['Teeth', 'x', '/teeth'],
  ['Wash', 'w', '/wash'],
  ['Decide', 'd', '/decide'],
  ['Fault finder', 'y', '/faults'],
  ['Gearing', 'e', '/gearing'],
  ['Checks', 'c', '/checks'],
  ['School', 'k', '/school'],
  ['Shelf', 's', '/shelf'],
  ['Rates', 'r', '/rates'],
  ['Compare', 'o', '/compare'],
  ['Log', 'l', '/log'],
  ['Files', 'f', '/files'],
] as const

async function enterDemo(page: Page): Promise<void> {
  await page.goto('/demo/')
  await expect(answerOf(page)).toContainText('Start with')
}

test('everything by keyboard: stations, bikes, a reading, undo', async ({ page }) => {
  await addBike(page)
  await page.keyboard.press('Escape')

  await test.step('g and a letter goes to each station', async () => {
    for (const [name, key, path] of STATIONS) {
      await page.keyboard.press('g')
      await page.keyboard.press(key)
      await expect(page).toHaveURL(path)
      await expect(page).toHaveTitle(`${name} · Jolt Mile`)
    }
  })

  await test.step('? shows the keys', async () => {
    await page.keyboard.press('?')
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
  })

  await test.step('n, then Enter on the first line, takes a reading', async () => {
    await page.keyboard.press('n')
    await expect(page.getByRole('button', { name: 'A reading of the chain' })).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(page).toHaveURL(/\/gauge#take$/)
    await expect(page.getByRole('region', { name: 'Take a reading' })).toBeFocused()
    await page.keyboard.press('Tab')
    await expect(page.getByRole('radio', { name: 'rule', exact: true })).toBeFocused()
    await page.keyboard.press('ArrowRight')
    await expect(page.getByRole('radio', { name: 'printed strip' })).toBeChecked()
    await page.keyboard.press('ArrowLeft')
    // Less, the pitches, more, less, the length.
    for (let i = 0; i < 5; i++) await page.keyboard.press('Tab')
    await expect(page.getByLabel('Length, mm', { exact: true })).toBeFocused()
    await page.keyboard.type('306.5')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('checkbox')).toHaveCount(1)
  })

  await test.step('no key fires while typing', async () => {
    await page.getByLabel('Length, mm', { exact: true }).focus()
    await page.keyboard.type('gdnub')
    await expect(page).toHaveURL(/\/gauge#take$/)
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await page.getByLabel('Length, mm', { exact: true }).fill('')
    await page.getByRole('heading', { level: 1 }).click()
  })

  await test.step('u undoes the reading, once however long it is held, and Shift u brings it back', async () => {
    for (let i = 0; i < 20; i++) await page.keyboard.down('u')
    await page.keyboard.up('u')
    await expect(page.getByRole('checkbox')).toHaveCount(0)
    await expect(page.getByText('Undone: 1 reading.', { exact: true })).toBeVisible()
    await page.keyboard.press('Shift+U')
    await expect(page.getByRole('checkbox')).toHaveCount(1)
    await page.keyboard.press('u')
    await expect(page.getByRole('checkbox')).toHaveCount(0)
    await page.getByRole('button', { name: 'Redo' }).last().click()
    await expect(page.getByRole('checkbox')).toHaveCount(1)
  })
})

test('b switches bike, and the choice outlives a reload', async ({ page }) => {
  await enterDemo(page)
  await page.keyboard.press('b')
  await page.getByRole('menuitem', { name: 'Plover' }).press('Enter')
  await goTo(page, 'Decide')
  await expect(answerOf(page)).toContainText('Plover:')
  await page.reload()
  await expect(answerOf(page)).toContainText('Plover:')
})

test('the demo is apart: what is done there never reaches one’s own log', async ({ page }) => {
  await enterDemo(page)
  await expect(
    page.getByRole('list', { name: 'Bikes' }).getByRole('listitem').filter({ hasText: 'Sparrow' }),
  ).toContainText('Not measured yet')
  await page.getByRole('link', { name: 'demo: leave' }).click()
  await expect(answerOf(page)).toHaveText('No bike yet.')
  await page.getByRole('link', { name: 'Open the demo' }).click()
  await expect(answerOf(page)).toContainText('Start with')
  await page.goto('/demo/files')
  await expect(answerOf(page)).toContainText('entries.')
  await page.getByRole('button', { name: 'Restart the demo' }).click()
  // The count is the same before and after: it is over when it can be pressed again.
  await expect(page.getByRole('button', { name: 'Restart the demo' })).toBeEnabled()
  await expect(answerOf(page)).toContainText(/Your log: 1\u00a0\d{3} entries\./)
  await page.getByRole('button', { name: 'Wipe the log' }).click()
  const sheet = page.getByRole('dialog', { name: 'Wipe this log?' })
  await sheet.getByLabel('Type wipe to go on').fill('wipe')
  await sheet.getByRole('button', { name: 'Wipe the log' }).click()
  // An empty demo is no demo: it is written anew.
  await expect(answerOf(page)).toContainText(/Your log: 1\u00a0\d{3} entries\./)
})

for (const theme of ['light', 'dark'] as const)
  test(`axe finds nothing serious at any station, ${theme}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' })
    const refused: string[] = []
    page.on('console', (message) => {
      if (message.type() === 'error') refused.push(message.text())
    })
    await enterDemo(page)
    for (const [name, , path] of STATIONS) {
      await test.step(name, async () => {
        await page.goto(`/demo${path}`)
        await expect(answerOf(page)).not.toContainText('Working')
        await expectAccessible(page)
      })
    }
    await test.step('the sheets and the page that is not there', async () => {
      await page.goto('/demo/shelf?new=bike')
      await expect(page.getByRole('dialog', { name: 'A new bike' })).toBeVisible()
      await expectAccessible(page)
      await page.goto('/demo/shelf?new=part')
      await expect(page.getByRole('dialog', { name: 'A new part' })).toBeVisible()
      await expectAccessible(page)
      await page.goto('/demo/nowhere')
      await expect(answerOf(page)).toHaveText('There is no station at this address.')
      await expectAccessible(page)
    })
    expect(refused, 'the page policy refused nothing, and nothing else went wrong').toEqual([])
  })

test('a phone shows every station without scrolling sideways', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await enterDemo(page)
  for (const [, , path] of STATIONS) {
    await page.goto(`/demo${path}`)
    await expect(answerOf(page)).not.toContainText('Working')
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    )
    expect(overflow, path).toBeLessThanOrEqual(0)
  }
})

test('units both ways', async ({ page }) => {
  await enterDemo(page)
  await goTo(page, 'Miles')
  await expect(answerOf(page)).toContainText('km')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Units: to miles and inches' }).click()
  await expect(answerOf(page)).toContainText(/\u00a0mi/)
  await goTo(page, 'Gauge')
  await expect(page.getByLabel('Length, inches', { exact: true })).toBeVisible()
})
