import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import {
  addBike,
  answerOf,
  asBackup,
  asFile,
  daysAgo,
  expectAccessible,
  goTo,
  goToFiles,
  readWithRule,
  rideFile,
  saveBackup,
} from './bench-hand.ts'

const bringIn = async (page: Page, name: string, text: string): Promise<void> => {
  await page.getByLabel('Backup file').setInputFiles(asBackup(name, text))
  await expect(page.getByText(new RegExp(`came in new from ${name}`))).toBeVisible()
}

interface Backup {
  readonly entries: readonly { readonly id: string; readonly kind: string }[]
  readonly aside: readonly { readonly why: string }[]
}
const parsed = (text: string): Backup => JSON.parse(text) as Backup

test('a button pressed twice adds once, and so does a file looked through in two tabs', async ({
  page,
  context,
}) => {
  await addBike(page)
  await goTo(page, 'Miles')
  const files = [1, 2, 3].map((n) => asFile(`ride-${n}.gpx`, rideFile(daysAgo(10 + n), 900)))
  await page.getByLabel('Ride files').setInputFiles(files)
  const add = page.getByRole('button', { name: /^Add 3 rides/ })
  await expect(add).toBeVisible()
  const other = await context.newPage()
  await other.goto('/miles')
  await other.getByLabel('Ride files').setInputFiles(files)
  await expect(other.getByRole('button', { name: /^Add 3 rides/ })).toBeVisible()

  await add.dblclick()
  await expect(page.getByText('3 rides added.', { exact: true })).toBeVisible()
  await other.getByRole('button', { name: /^Add 3 rides/ }).click()
  await expect(other.getByText('All of them were in the log already.')).toBeVisible()
  await goToFiles(page)
  const { entries } = parsed(await saveBackup(page))
  expect(entries.filter(({ kind }) => kind === 'ride')).toHaveLength(3)
})

test('what was undone is shown in the log and restored from there; an old backup says what was undone here', async ({
  page,
}) => {
  await addBike(page)
  await goTo(page, 'Miles')
  await page.getByLabel('Distance, km').fill('42')
  await page.getByRole('button', { name: 'Add the ride' }).click()
  await expect(answerOf(page)).toContainText('42')
  await goToFiles(page)
  const old = await saveBackup(page)
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('u')
  await expect(page.getByText('Undone: 1 ride.', { exact: true })).toBeVisible()

  await test.step('the old backup brings nothing back by itself, and offers it', async () => {
    await bringIn(page, 'old.json', old)
    await expect(
      page.getByText(/1 entry in the file were undone|1 entry in the file was undone/),
    ).toBeVisible()
    await page.getByRole('button', { name: 'Restore 1 entry' }).click()
    await expect(page.getByText('Restored: 1 entry.', { exact: true })).toBeVisible()
  })

  await test.step('the log shows what was undone, with the way back', async () => {
    await page.getByRole('heading', { level: 1 }).click()
    await page.keyboard.press('u')
    await page.keyboard.press('g')
    await page.keyboard.press('l')
    await page.getByRole('checkbox', { name: 'show corrected and undone entries' }).check()
    await page.getByRole('button', { name: /^Restore: .*42/ }).click()
    await expect(page.getByRole('button', { name: /^Open: .*42/ })).toBeVisible()
    await goTo(page, 'Miles')
    await expect(answerOf(page)).toContainText('42')
  })
})

test('a year of five figures, half typed, loses nothing of the form and is asked about', async ({ page }) => {
  await addBike(page)
  await page.goto('/shelf?new=part')
  const part = page.getByRole('dialog')
  await part.getByLabel('Name').fill('Half a chain')
  await part.getByLabel('Day').fill('12026-01-01')
  await expect(part.getByLabel('Name')).toHaveValue('Half a chain')
  await part.getByLabel('It is a').selectOption({ label: 'chain' })
  await part.getByRole('button', { name: 'Log the part' }).click()
  await expect(part.getByText('Give a day, with a year of four figures.')).toBeVisible()
})

test('an entry that broke the app is found and set aside on the safe page', async ({ page }) => {
  await addBike(page)
  await page.goto('/safe')
  await expect(answerOf(page)).toHaveText('Your log, with nothing worked out from it.')
  await expectAccessible(page)
  await page.getByLabel('Find').fill('cassette')
  await page
    .getByRole('button', { name: /^Set aside: part/ })
    .first()
    .click()
  await expect(
    page.getByText('Set aside: out of the log, and kept in every backup.', { exact: true }),
  ).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Kept aside: 1' })).toBeVisible()
  expect(parsed(await saveBackup(page)).aside).toMatchObject([{ why: 'removed' }])
  await page.getByRole('button', { name: 'put back' }).click()
  await expect(page.getByRole('heading', { name: /Kept aside/ })).toHaveCount(0)
  await page.getByRole('link', { name: 'Open the app again' }).click()
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible()
})

test('an app that never finishes opening goes to the safe page by itself', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('jolt-mile openings own', '2'))
  await page.goto('/gauge')
  await expect(answerOf(page)).toHaveText('Your log, with nothing worked out from it.')
  await expect(page.getByText(/The app did not finish opening the last times/)).toBeVisible()
})

test('storage that is missing, forbidden or silent is said to be, with what to do', async ({
  browser,
  baseURL,
}) => {
  const opened = async (spoil: () => void) => {
    const context = await browser.newContext({ ...(baseURL !== undefined && { baseURL }) })
    const page = await context.newPage()
    await page.addInitScript(spoil)
    await page.goto('/')
    return page
  }
  const denied = await opened(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('no', 'SecurityError')
    }
  })
  await expect(answerOf(denied)).toHaveText('The browser does not let this page keep data.')
  await expect(denied.getByRole('button', { name: 'Try again' })).toBeVisible()

  const silent = await opened(() => {
    IDBFactory.prototype.open = () => new EventTarget() as unknown as IDBOpenDBRequest
  })
  await expect(answerOf(silent)).toHaveText('The browser’s storage does not answer.', { timeout: 20_000 })

  const forgetful = await opened(() => {
    Object.defineProperty(window, 'localStorage', {
      get: () => {
        throw new DOMException('no', 'SecurityError')
      },
    })
  })
  await expect(answerOf(forgetful)).toHaveText('No bike yet.')
  for (const page of [denied, silent, forgetful]) await page.context().close()
})

test('a full disk is called that, and what was typed stays', async ({ page }) => {
  await addBike(page)
  await goTo(page, 'Miles')
  await page.evaluate(() => {
    IDBObjectStore.prototype.add = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
  })
  await page.getByLabel('Distance, km').fill('17')
  await page.getByRole('button', { name: 'Add the ride' }).click()
  await expect(page.getByText(/Not saved: this browser’s storage is full/).first()).toBeVisible()
  await expect(page.getByLabel('Distance, km')).toHaveValue('17')
})

test('a log that is deleted while it is open can be saved and put back', async ({ page }) => {
  await addBike(page)
  await goTo(page, 'Miles')
  await page.evaluate(
    () =>
      new Promise((resolve) => {
        indexedDB.deleteDatabase('jolt-mile').onsuccess = resolve
      }),
  )
  await expect(answerOf(page)).toHaveText('The browser has deleted your log while it was open.')
  await expectAccessible(page)
  await page.getByRole('button', { name: /^Put the .* back$/ }).click()
  await expect(answerOf(page)).toContainText('Tern')
  await page.reload()
  await expect(answerOf(page)).toContainText('Tern')
})

test('after the browser cleared its data under an open tab, the next entry is kept with all the rest', async ({
  page,
  context,
}) => {
  await addBike(page)
  await goTo(page, 'Gauge')
  await readWithRule(page, '305.7')
  await page.getByRole('radio', { name: 'rule', exact: true }).check()
  await page.getByLabel('Length, mm', { exact: true }).fill('305.9')
  const browser = await context.newCDPSession(page)
  await browser.send('Storage.clearDataForOrigin', {
    origin: new URL(page.url()).origin,
    storageTypes: 'indexeddb',
  })
  await page.getByRole('button', { name: 'Save the reading' }).click()
  await expect(answerOf(page)).toHaveText('The browser has deleted your log while it was open.')
  await page.getByRole('button', { name: /^Put the .* back$/ }).click()
  await expect(answerOf(page)).toContainText('Tern')
  await page.goto('/log')
  await expect(page.getByText(/305\.7/).first()).toBeVisible()
  // What was being written when the page heard of it is there too.
  await expect(page.getByText(/305\.9/).first()).toBeVisible()
})

const deleteLog = (page: Page): Promise<unknown> =>
  page.evaluate(
    () =>
      new Promise((resolve) => {
        indexedDB.deleteDatabase('jolt-mile').onsuccess = resolve
      }),
  )

/** How many entries the second copy holds. */
const copied = (page: Page): Promise<number> =>
  page.evaluate(async () => {
    const { storageBuckets } = navigator as unknown as {
      storageBuckets: { open(name: string): Promise<{ indexedDB: IDBFactory }> }
    }
    const bucket = await storageBuckets.open('second-copy')
    return new Promise<number>((resolve) => {
      const open = bucket.indexedDB.open('jolt-mile second copy')
      open.onsuccess = () => {
        const count = open.result.transaction('entries').objectStore('entries').count()
        count.onsuccess = () => {
          open.result.close()
          resolve(count.result)
        }
      }
    })
  })

test('a log that the browser lost between two visits comes back from the second copy', async ({ page }) => {
  await addBike(page)
  await goToFiles(page)
  const { entries } = parsed(await saveBackup(page))
  await expect.poll(() => copied(page)).toBe(entries.length)
  await page.goto('/icon.svg')
  await deleteLog(page)
  await page.goto('/')
  await expect(page.getByText(/^The browser had lost your log\./)).toBeVisible()
  await expect(page.getByRole('main').getByRole('link', { name: /Tern/ }).first()).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Hide this' }).click()
  await expect(page.getByText(/^The browser had lost your log\./)).toBeHidden()
  await goToFiles(page)
  expect(parsed(await saveBackup(page)).entries).toEqual(entries)
})

test('where there is no second copy, a browser that lost the log is not shown as an empty start', async ({
  page,
}) => {
  await page.addInitScript(() => {
    Object.defineProperty(navigator, 'storageBuckets', { value: undefined })
  })
  await addBike(page)
  await page.goto('/icon.svg')
  await deleteLog(page)
  await page.goto('/')
  await expect(answerOf(page)).toHaveText('The browser has lost your log.')
  await page.getByRole('link', { name: 'Bring in a backup' }).click()
  await expect(answerOf(page)).toHaveText('Your log: 0 entries.')
})

test('an old tab stops when a newer version has opened the log', async ({ page, context }) => {
  await addBike(page)
  const newer = await context.newPage()
  await newer.goto('/icon.svg')
  await newer.evaluate(
    () =>
      new Promise((resolve) => {
        indexedDB.open('jolt-mile', 990).onsuccess = resolve
      }),
  )
  await expect(answerOf(page)).toHaveText('A newer version of Jolt Mile has opened this log in another tab.')
  await page.reload()
  await expect(answerOf(page)).toHaveText('A newer version of Jolt Mile wrote this log.')
})

test('a correction open in two tabs does not close without a word', async ({ page, context }) => {
  await addBike(page)
  await goTo(page, 'Miles')
  await page.getByLabel('Distance, km').fill('33')
  await page.getByRole('button', { name: 'Add the ride' }).click()
  // The page is left only once the ride is in.
  await expect(page.getByRole('status').getByText(/33.*km/)).toBeVisible()
  await page.goto('/log')
  await page.getByRole('button', { name: /^Open: .*33/ }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('Distance, km').fill('34')
  const other = await context.newPage()
  await other.goto('/log')
  await other.getByRole('button', { name: /^Open: .*33/ }).click()
  await other.getByRole('dialog').getByLabel('Distance, km').fill('35')
  await other.getByRole('dialog').getByRole('button', { name: 'Save correction' }).click()
  await expect(sheet.getByText(/This entry was corrected meanwhile/)).toBeVisible()
  await expect(sheet.getByLabel('Distance, km')).toHaveValue('34')
  await sheet.getByRole('button', { name: 'Open the corrected entry' }).click()
  await expect(sheet.getByLabel('Distance, km')).toHaveValue('35')
})

test('a folder chosen once is kept up to date, and two devices meet in it', async ({ page }) => {
  await page.addInitScript(() => {
    // The browser's own folder stands for one that a person chooses: no driver can press that dialogue's buttons.
    Object.assign(window, { showDirectoryPicker: () => navigator.storage.getDirectory() })
  })
  await addBike(page)
  await readOtherDevice(page)
  await goToFiles(page)
  await page.getByRole('button', { name: 'Choose a folder' }).click()
  await expect(page.getByText(/is up to date, last written at \d\d:\d\d/)).toBeVisible()
  await expect(page.getByText(/48 entries came in from other devices/)).toBeVisible()
  const names = await page.evaluate(async () => {
    const held: string[] = []
    const folder = (await navigator.storage.getDirectory()) as unknown as {
      keys: () => AsyncIterable<string>
    }
    for await (const name of folder.keys()) held.push(name)
    return held.sort()
  })
  expect(names).toHaveLength(2)
  await expect(page.getByText(/All of it is in the last backup, saved today/)).toBeVisible()
})

test('whatever the others’ files are, one’s own is written, and the bad ones are told by their names', async ({
  page,
}) => {
  await page.addInitScript(() => {
    Object.assign(window, { showDirectoryPicker: () => navigator.storage.getDirectory() })
  })
  await addBike(page)
  await putInFolder(page, 'jolt-mile-empty.json', '')
  await putInFolder(page, 'jolt-mile-words.json', 'shopping: milk, chain oil')
  await putInFolder(page, 'jolt-mile-cut.json', OTHER_DEVICE.slice(0, 3000))
  await goToFiles(page)
  await page.getByRole('button', { name: 'Choose a folder' }).click()
  const kept = page.getByRole('region', { name: 'Kept safe' })
  await expect(kept).toContainText(/is up to date, last written at \d\d:\d\d/)
  await expect(kept).toContainText('jolt-mile-empty.json: ')
  await expect(kept).toContainText('jolt-mile-words.json: ')
  await expect(kept).toContainText('jolt-mile-cut.json: ')
  await goTo(page, 'Today')
  await expect(page.getByText(/^Not taken in from/)).toBeVisible()
  await expect(page.getByText(/^jolt-mile-words\.json: /)).toBeVisible()
  await test.step('one that is whole again comes in', async () => {
    await putInFolder(page, 'jolt-mile-words.json', OTHER_DEVICE)
    await page.reload()
    await expect(page.getByText(/^jolt-mile-empty\.json: /)).toBeVisible()
    await expect(page.getByText(/^jolt-mile-words\.json: /)).toHaveCount(0)
  })
})

test('the demo’s file is asked about before it comes into one’s own log, and one undo takes all of it out', async ({
  page,
}) => {
  await page.goto('/demo/files')
  const demo = await saveBackup(page)
  await addBike(page)
  await goToFiles(page)
  const choose = (): Promise<void> =>
    page.getByLabel('Backup file').setInputFiles(asBackup('from-the-demo.json', demo))
  await choose()
  await expect(page.getByText(/holds the made-up records of the demo garage/)).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()
  await expect(page.getByText('Left alone. Nothing was changed.')).toBeVisible()
  const before = await answerOf(page).textContent()
  await choose()
  await page.getByRole('button', { name: 'Bring it in anyway' }).click()
  await expect(page.getByText(/came in new from from-the-demo\.json/)).toBeVisible()
  await goTo(page, 'Today')
  await expect(page.getByRole('list', { name: 'Bikes' }).getByRole('listitem')).toHaveCount(6)
  await page.keyboard.press('u')
  await expect(page.getByRole('list', { name: 'Bikes' }).getByRole('listitem')).toHaveCount(1)
  expect(before).toMatch(/Your log/)
})

test('a file that says otherwise is asked about, and what it takes out is told and put back', async ({
  page,
}) => {
  await addBike(page)
  await goTo(page, 'Gauge')
  await readWithRule(page, '305.7')
  await readWithRule(page, '305.8')
  await goToFiles(page)
  const saved = await saveBackup(page)
  const backup = JSON.parse(saved) as { entries: { kind: string; id: string; reading?: object }[] }
  const [first, second] = backup.entries.filter(({ kind }) => kind === 'reading')
  if (!first || !second) throw new Error('two readings were saved')
  const edited = {
    ...backup,
    entries: [
      ...backup.entries.map((entry) =>
        entry === first ? { ...entry, reading: { ...entry.reading, lengthMm: 306.4 } } : entry,
      ),
      {
        kind: 'withdraw',
        format: 2,
        at: new Date().toISOString(),
        targets: [second.id],
        id: `${second.id.slice(0, -12)}ffffffffffff`,
      },
    ],
  }
  await page.getByLabel('Backup file').setInputFiles(asBackup('edited.json', JSON.stringify(edited)))
  await expect(page.getByText(/In 1 entry it contradicts this log/)).toBeVisible()
  await goTo(page, 'Today')
  const asked = page.getByRole('region', { name: 'Entries of two versions' })
  await expect(asked).toContainText('Came in.')
  await expectAccessible(page)
  await asked.getByRole('button', { name: /^This one is right: Here/ }).click()
  await expect(asked).toHaveCount(0)
  const changed = page.getByRole('region', { name: 'Changed elsewhere' })
  await expect(changed).toContainText('Taken out: ')
  await changed.getByRole('button', { name: 'Put it all back' }).click()
  await expect(changed).toHaveCount(0)
  await page.goto('/log')
  await expect(page.getByText(/305\.7/).first()).toBeVisible()
  await expect(page.getByText(/305\.8/).first()).toBeVisible()
  await expect(page.getByText(/306\.4/)).toHaveCount(0)
})

const OTHER_DEVICE = readFileSync('test/backups/format-1.json', 'utf8')

/** Puts a file into the folder, as another device would. */
const putInFolder = (page: Page, name: string, text: string): Promise<void> =>
  page.evaluate(
    async (of) => {
      const folder = await navigator.storage.getDirectory()
      const file = await folder.getFileHandle(of.name, { create: true })
      const stream = await file.createWritable()
      await stream.write(of.text)
      await stream.close()
    },
    { name, text },
  )

const readOtherDevice = (page: Page): Promise<void> =>
  putInFolder(page, 'jolt-mile-otherdev.json', OTHER_DEVICE)
