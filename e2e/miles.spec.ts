import { strToU8, zipSync } from 'fflate'
import { expect, test, type Page } from '@playwright/test'
import {
  addBike,
  answerOf,
  asFile,
  cutShort,
  daysAgo,
  expectAccessible,
  goTo,
  readWithRule,
  rideFile,
} from './bench-hand.ts'

const plain = (text: string | null): string => (text ?? '').replaceAll('\u00a0', ' ')
const rideList = (page: Page) => page.getByRole('region', { name: 'Rides', exact: true }).last()

/** Sets the switches of a stand-in; none named puts them all back. */
async function misbehave(page: Page, service: 'ride-exchange' | 'weather', switches: object): Promise<void> {
  const answer = await page.request.post(`/api/${service}/faults`, { data: switches })
  expect(answer.ok()).toBe(true)
}

test('a mixed batch: what is good goes in, what is bad is named in a list that can be saved', async ({
  page,
}) => {
  await addBike(page, '2026-01-01')
  await goTo(page, 'Miles')
  const noTimes = rideFile(daysAgo(9), 30).replaceAll(/<time>.*?<\/time>/g, '')
  const inner = zipSync({ 'inner.gpx': strToU8(rideFile(daysAgo(8), 30)) })
  const archive = zipSync({
    '../../up/sunday.gpx': strToU8(rideFile(daysAgo(7), 900)),
    'more.zip': inner,
    'swells.gpx': new Uint8Array(9_000_000),
  })
  const files = [
    ...['quay-and-back.gpx', 'harbour-climb.tcx', 'late-round.fit', 'november.csv', 'cut-short.gpx'].map(
      (name) => `demo/rides/${name}`,
    ),
  ]
  await page.getByLabel('Ride files').setInputFiles(files)

  await test.step('a table asks once what its columns hold; its marks and dates are told from it', async () => {
    await expect(page.getByText('is a table of 4 rows')).toBeVisible()
    await expect(page.getByLabel('Decimals after')).toHaveValue('comma')
    await expect(page.getByLabel('Written as')).toHaveValue('day-first')
    await expect(page.getByText(/1 row cannot be read, the first on line 4/)).toBeVisible()
    await page.getByRole('button', { name: 'Read 3 rides' }).click()
  })

  await test.step('the good ones are counted, the bad ones named', async () => {
    await expect(page.getByText(/cut short: it ends on line/)).toBeVisible()
    await expect(page.getByText('november.csv, line 4')).toBeVisible()
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Save this list' }).click()
    expect((await download).suggestedFilename()).toBe('Tern rides left out.csv')
    await page.getByRole('button', { name: /^Add 6 rides/ }).click()
    await expect(rideList(page).getByRole('listitem')).toHaveCount(6)
  })

  await test.step('worse ones: each says what is wrong with it', async () => {
    await page
      .getByLabel('Ride files')
      .setInputFiles([
        asFile('empty.gpx', ''),
        asFile('no-times.gpx', noTimes),
        asFile('old-clock.gpx', rideFile('1970-01-01', 900)),
        cutShort(),
        asFile('letter.docx', 'Dear mechanic'),
        { name: 'week.zip', mimeType: 'application/zip', buffer: Buffer.from(archive) },
      ])
    for (const said of [
      /file is empty/,
      /no times/i,
      /the device’s clock was not set. Add its .* by hand/,
      /GPX, TCX, FIT and CSV files can be read/,
      /archive within the archive/,
      /fold when unpacked/,
    ])
      await expect(page.getByText(said)).toBeVisible()
    await expect(page.getByText(/sunday\.gpx/)).toBeVisible()
    await page.getByRole('button', { name: /^Add 1 ride,/ }).click()
    await expect(rideList(page).getByRole('listitem')).toHaveCount(7)
  })

  await test.step('the whole week again, in one archive: nothing is doubled, and a richer one says so', async () => {
    await page.getByLabel('Ride files').setInputFiles(['demo/rides/that-week.zip'])
    await expect(page.getByText('The same ride as quay-and-back.gpx.')).toBeVisible()
    await expect(page.getByText(/^Add 2 rides/)).toBeVisible()
    await page.getByRole('button', { name: 'Leave them' }).click()
    await expect(page.getByText('Nothing was added.')).toBeVisible()
    await expect(rideList(page).getByRole('listitem')).toHaveCount(7)
  })

  await test.step('the columns are remembered for the next table like it', async () => {
    const next = 'Datum;Strecke (km);Dauer\n3.11.2026;7,5;0:21:10\n'
    await page
      .getByLabel('Ride files')
      .setInputFiles([{ name: 'next.csv', mimeType: 'text/csv', buffer: Buffer.from(next) }])
    // One date alone would not tell its order.
    await expect(page.getByLabel('Written as')).toHaveValue('day-first')
    await page.getByRole('button', { name: 'Read 1 ride' }).click()
    await page.getByRole('button', { name: 'Leave them' }).click()
  })
})

test('the bike’s computer counts what was never recorded', async ({ page }) => {
  await addBike(page)
  await goTo(page, 'Miles')
  const note = async (figure: string, day: string) => {
    await page.getByLabel('It shows, km').fill(figure)
    await page.getByLabel('On', { exact: true }).fill(day)
    await page.getByRole('button', { name: 'Save the figure' }).click()
  }
  await note('1200', daysAgo(30))
  await expect(page.getByText(/^Last 1\s200\skm/)).toBeVisible()
  await page.getByLabel('Distance, km').fill('40')
  await page.getByRole('button', { name: 'Add the ride' }).click()
  await note('1100', daysAgo(0))
  await expect(page.getByText(/It showed 1\s200\skm .*more than that/)).toBeVisible()
  await note('1310', daysAgo(0))
  await expect(page.getByText(/counted 110\skm; rides account for 40/)).toBeVisible()
  await expect(answerOf(page)).toContainText(/Tern has done 110\skm, 110\skm of it on this chain/)
  await page.keyboard.press('Escape')
  await answerOf(page).click()
  await page.keyboard.press('u')
  await expect(answerOf(page)).toContainText(/Tern has done 40\skm/)
})

test('syncing bears a service that is slow, refuses, tells twice, backwards, and deletes', async ({
  page,
}) => {
  await addBike(page, '2026-01-01')
  await goTo(page, 'Miles')
  await misbehave(page, 'ride-exchange', {})
  const sync = page.getByRole('button', { name: 'Sync Tern’s rides' })
  const upToDate = page.getByText(/^Up to date\./)

  await test.step('a wrong PIN is refused in plain words', async () => {
    await page.getByLabel('Rider').fill('heron')
    await page.getByLabel('PIN').fill('1')
    await page.getByRole('button', { name: 'Sign in' }).click()
    await expect(page.getByText(/does not know this rider and PIN/)).toBeVisible()
    await page.getByLabel('PIN').fill('1807')
    await page.getByRole('button', { name: 'Sign in' }).click()
  })

  const count =
    await test.step('every third answer fails, and questions in haste are turned away', async () => {
      await misbehave(page, 'ride-exchange', {
        failEvery: 3,
        perSecond: 3,
        duplicate: true,
        outOfOrder: true,
      })
      await sync.click()
      await expect(upToDate).toContainText(/\d+ rides added/)
      return Number(/(\d+) rides added/.exec(plain(await upToDate.textContent()))?.[1])
    })
  expect(count).toBeGreaterThan(20)
  await expect(page.getByText(`${count} rides, newest first.`)).toBeVisible()

  await test.step('once more adds nothing', async () => {
    await misbehave(page, 'ride-exchange', {})
    await sync.click()
    await expect(upToDate).toContainText('0 rides added')
    await expect(page.getByText(`${count} rides, newest first.`)).toBeVisible()
  })

  await test.step('what was deleted there goes here, and the rest stays', async () => {
    await misbehave(page, 'ride-exchange', { deleteEvery: 7 })
    await sync.click()
    const gone = Math.floor(count / 7)
    await expect(upToDate).toContainText(`${gone} deleted there and taken out here`)
    await expect(page.getByText(`${count - gone} rides, newest first.`)).toBeVisible()
  })

  await test.step('stopped in the middle, it goes on from there', async () => {
    await misbehave(page, 'ride-exchange', { slowMs: 3000 })
    await sync.click()
    await page.getByRole('button', { name: 'Stop' }).click()
    await expect(page.getByText(/^Stopped\./)).toContainText('The next sync goes on from there.')
    await misbehave(page, 'ride-exchange', {})
  })

  await test.step('the app goes on working while the service is gone', async () => {
    await page.route('**/api/ride-exchange/**', (route) => route.abort())
    await sync.click()
    await expect(
      page.getByText(/could not be reached: it needs the Jolt Mile server.*Trying again/),
    ).toBeVisible()
    await page.getByLabel('Distance, km').fill('12')
    await page.getByRole('button', { name: 'Add the ride' }).click()
    await expect(answerOf(page)).toContainText('km')
    await page.getByRole('button', { name: 'Stop' }).click()
    await page.unroute('**/api/ride-exchange/**')
  })
})

test('what rides were ridden in is said by keys alone, and by the weather', async ({ page }) => {
  // The demo lives by the date, and so does how many of its rides have no conditions yet.
  await page.clock.setSystemTime('2026-11-26T12:00:00Z')
  await page.goto('/demo/miles')
  await expect(answerOf(page)).toContainText('Heron has done')
  const sorter = page.getByRole('region', { name: /needs? conditions$/ })
  const left = async () => Number(/^\d+/.exec(plain(await sorter.getByRole('heading').textContent()))?.[0])
  await page.getByRole('link', { name: /^sort \d+ rides$/ }).press('Enter')
  await expect(sorter).toBeFocused()
  const before = await left()
  expect(before).toBeGreaterThan(4)

  await test.step('a digit says it of the ride in hand; Enter agrees; an arrow passes on', async () => {
    await page.keyboard.press('3')
    await expect(sorter.getByRole('heading')).toContainText(new RegExp(`^${before - 1} `))
    const inHand = async () => plain(await sorter.textContent())
    const first = await inHand()
    await page.keyboard.press('ArrowDown')
    await expect.poll(inHand).not.toBe(first)
    await page.keyboard.press('Enter')
    await expect(sorter.getByRole('heading')).toContainText(new RegExp(`^${before - 2} `))
  })

  await test.step('undo brings one back', async () => {
    await page.keyboard.press('u')
    await expect(sorter.getByRole('heading')).toContainText(new RegExp(`^${before - 1} `))
  })

  await test.step('the weather service is asked for what is left, faults and all', async () => {
    await misbehave(page, 'weather', { failEvery: 2 })
    await sorter.getByRole('button', { name: 'Ask the weather' }).press('Enter')
    const agree = sorter.getByRole('button', { name: /^Agree with all \d+$/ })
    await expect(agree).toBeVisible()
    const all = Number(/\d+$/.exec((await agree.textContent()) ?? '')?.[0])
    await agree.press('Enter')
    await misbehave(page, 'weather', {})
    if (all === before - 1) await expect(sorter).toHaveCount(0)
    else await expect(sorter.getByRole('heading')).toContainText(new RegExp(`^${before - 1 - all} `))
  })

  await test.step('the usual for all the rest, and no ride is left', async () => {
    const usual = sorter.getByRole('button', { name: /^The usual for all/ })
    if ((await usual.count()) > 0) await usual.press('Enter')
    await expect(sorter).toHaveCount(0)
  })
})

async function rideByHand(page: Page, km: string, day: string): Promise<void> {
  const form = page.getByRole('form', { name: 'One by hand' })
  await form.getByLabel('Distance, km').fill(km)
  await form.getByLabel('Day').fill(day)
  await form.getByRole('button', { name: 'Add the ride' }).click()
  await expect(form.getByLabel('Distance, km')).toHaveValue('')
}

/** Goes to a station by its two keys. */
async function walkTo(page: Page, key: string, name: string): Promise<void> {
  await answerOf(page).click()
  await page.keyboard.press('g')
  await page.keyboard.press(key)
  await expect(page).toHaveTitle(`${name} · Jolt Mile`)
}

async function pickBike(page: Page, name: string): Promise<void> {
  await answerOf(page).click()
  await page.keyboard.press('b')
  await page.getByRole('menuitem', { name }).press('Enter')
}

test('chains go from bike to bike, each keeps its own km, and a date put right flows through', async ({
  page,
}) => {
  await addBike(page)
  await addBike(page, daysAgo(60), 'Knot')

  await test.step('both bikes are ridden', async () => {
    await goTo(page, 'Miles')
    await rideByHand(page, '100', daysAgo(50))
    await rideByHand(page, '30', daysAgo(10))
    await pickBike(page, 'Tern')
    await expect(answerOf(page)).toContainText('Tern has no rides')
    await rideByHand(page, '200', daysAgo(50))
    await rideByHand(page, '70', daysAgo(20))
  })

  await test.step('Knot’s chain goes onto Tern, by the guided swap', async () => {
    await walkTo(page, 's', 'Shelf')
    const guide = page.getByRole('region', { name: 'Fit another chain to Tern' })
    await guide.getByLabel('Chain', { exact: true }).selectOption({ label: 'Chain 1 of Knot, off Knot' })
    await guide.getByLabel('Day').fill(daysAgo(30))
    await expect(guide.getByText('Knot is then without a chain in the log')).toBeVisible()
    await expect(guide.getByText(/is not ticked yet: look before you ride/)).toBeVisible()
    await guide.getByRole('checkbox', { name: /Past the cage’s tab on its inner side/ }).check()
    await guide.getByLabel('Closings its maker allows').fill('3')
    await guide.getByLabel('24 pitches with a rule, mm').fill('305.5')
    await guide.getByRole('button', { name: 'Log the chain' }).click()
    await expect(answerOf(page)).toContainText(/on chain 1 for/)
  })

  const onTern = page.getByRole('region', { name: 'On Tern' })
  const offIt = page.getByRole('region', { name: 'Not on it' })
  const km = (region: typeof onTern, name: string) =>
    region.getByRole('listitem').filter({ hasText: name }).first()

  await test.step('each part has the km it was on for', async () => {
    // 100 on Knot, then 70 on Tern; Tern's own had 200 before it came off.
    await expect(km(onTern, 'Chain 1 of Knot')).toContainText(/170\skm/)
    await expect(km(offIt, 'Chain 1')).toContainText(/200\skm/)
    await expect(km(onTern, 'Cassette')).toContainText(/270\skm/)
    await expect(km(onTern, 'Joining link')).toContainText('Closed 1 of 3 times.')
  })

  await test.step('a link at its limit and a cassette under an unmeasured chain are said before', async () => {
    await page.keyboard.press('n')
    await page.getByRole('button', { name: /^A part/ }).click()
    const sheet = page.getByRole('dialog', { name: /part/i })
    await sheet.getByLabel('It is a').selectOption('joining-link')
    await sheet.getByLabel('Closings its maker allows').fill('2')
    await sheet.getByLabel('Closings so far').fill('2')
    await sheet.getByRole('radio', { name: 'on Tern' }).check()
    await expect(sheet.getByText(/was closed 2 times; its maker allows 2\. Take a new one/)).toBeVisible()
    await sheet.getByLabel('Speeds').fill('11')
    await expect(sheet.getByText(/made for 11 speeds; this bike has 7/)).toBeVisible()
    await page.keyboard.press('Escape')
  })

  await test.step('the log finds the fitting; another date shows what it would move', async () => {
    await walkTo(page, 'l', 'Log')
    await page.getByLabel('Kind').selectOption({ label: 'part fitted' })
    await page.getByLabel('From').fill(daysAgo(31))
    await page.getByRole('button', { name: /^Open: .*Chain 1 of Knot fitted to Tern/i }).click()
    const sheet = page.getByRole('dialog')
    await sheet.getByLabel('When').fill(`${daysAgo(15)}T12:00`)
    const changes = sheet.getByRole('region', { name: 'What this changes' })
    await expect(changes).toContainText(/moves 70\skm from Chain 1 of Knot to Chain 1 of Tern/)
    await expectAccessible(page)
    await sheet.getByRole('button', { name: 'Save correction' }).click()
    await expect(page.getByText('Corrected.', { exact: true })).toBeVisible()
  })

  await test.step('and the km flow, until it is undone', async () => {
    await walkTo(page, 's', 'Shelf')
    await expect(km(onTern, 'Chain 1 of Knot')).toContainText(/100\skm/)
    await answerOf(page).click()
    await page.keyboard.press('u')
    await expect(km(onTern, 'Chain 1 of Knot')).toContainText(/170\skm/)
  })
})

test('the road is walked by keys, says where one stands, and opens what is there', async ({ page }) => {
  await page.goto('/demo/miles')
  const road = page.getByRole('slider', { name: 'Place on the road' })
  await expect(page.getByText('Working out the chains…')).toHaveCount(0)
  await expect(road).toHaveAttribute('aria-valuetext', /km, .*: .*on it, probably at 0\.\d\d/)
  await road.focus()
  await page.keyboard.press('Home')
  await expect(road).toHaveAttribute('aria-valuenow', '0')
  await page.keyboard.press('+')
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByRole('button', { name: 'Open it' })).toBeVisible()
  const said = await road.getAttribute('aria-valuetext')
  expect(said).toMatch(/km: /)
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/demo\/log\?entry=/)
  await expect(page.getByRole('dialog')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page).toHaveURL(/\/demo\/miles/)

  await test.step('it prints on one sheet', async () => {
    for (const landscape of [false, true]) {
      const sheet = (await page.pdf({ format: 'A4', landscape })).toString('latin1')
      expect(sheet.match(/\/Type \/Page\b/g)).toHaveLength(1)
    }
  })

  await test.step('a drag moves it, the wheel with Ctrl zooms, two fingers zoom, past today it says what is to come', async () => {
    const whole = page.getByRole('button', { name: 'Whole road' })
    await page.getByRole('button', { name: 'Closer' }).click()
    await page.getByRole('button', { name: 'Closer' }).click()
    const box = await road.boundingBox()
    if (!box) throw new Error('the road is not drawn')
    const middle = { x: box.width / 2, y: 90 }
    const standing = async () => {
      await road.hover({ position: middle })
      return Number(await road.getAttribute('aria-valuenow'))
    }
    const before = await standing()
    await page.mouse.down()
    await page.mouse.move(box.x + middle.x + 200, box.y + middle.y, { steps: 5 })
    await page.mouse.up()
    await expect.poll(standing).toBeLessThan(before)

    await whole.click()
    await expect(whole).toBeDisabled()
    await road.hover({ position: middle })
    await page.keyboard.down('Control')
    await page.mouse.wheel(0, -300)
    await page.keyboard.up('Control')
    await expect(whole).toBeEnabled()

    await whole.click()
    const finger = (type: string, pointerId: number, x: number) =>
      road.dispatchEvent(type, {
        pointerId,
        pointerType: 'touch',
        clientX: box.x + x,
        clientY: box.y + 90,
        bubbles: true,
      })
    await road.evaluate((canvas) => (canvas.setPointerCapture = () => undefined))
    await finger('pointerdown', 11, middle.x - 40)
    await finger('pointerdown', 12, middle.x + 40)
    await finger('pointermove', 12, middle.x + 160)
    await expect(whole).toBeEnabled()
    await finger('pointerup', 11, middle.x - 40)
    await finger('pointerup', 12, middle.x + 160)

    await whole.click()
    await road.hover({ position: { x: box.width - 20, y: 90 } })
    await expect(road).toHaveAttribute('aria-valuetext', /from today: the chain then probably at/)
  })
})

test('one entry is opened from any mark of the road: each peg of a look its own', async ({ page }) => {
  await addBike(page)
  await goTo(page, 'Miles')
  await rideByHand(page, '400', daysAgo(30))
  await goTo(page, 'Gauge')
  for (const length of ['305.5', '306', '306.5']) await readWithRule(page, length)
  await goTo(page, 'Miles')
  await expect(page.getByText('Working out the chains…')).toHaveCount(0)
  const road = page.getByRole('slider', { name: 'Place on the road' })
  await road.focus()
  const said = new Set<string>()
  await page.keyboard.press('Home')
  // A press on the last mark stays there.
  for (let i = 0; i < 12; i++) {
    await page.keyboard.press('Shift+ArrowRight')
    said.add(plain(await road.getAttribute('aria-valuetext')))
  }
  expect([...said].filter((text) => text.includes('measured with rule'))).toHaveLength(3)

  // The first reading's peg stands at its place of the road, the others beside it.
  const box = await road.boundingBox()
  if (!box) throw new Error('the road is not drawn')
  const now = Number(await road.getAttribute('aria-valuenow'))
  const end = Number(await road.getAttribute('aria-valuemax'))
  const at = 104 + ((box.width - 116) * now) / end
  for (const [aside, length] of [
    [0, '305.5 mm'],
    [9, '306 mm'],
    [18, '306.5 mm'],
  ] as const) {
    await road.click({ position: { x: at - aside, y: 150 } })
    await expect(page.getByRole('dialog')).toContainText(length)
    await page.keyboard.press('Escape')
    await expect(page).toHaveURL(/\/miles/)
  }
})
