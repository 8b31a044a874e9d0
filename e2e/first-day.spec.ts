import { expect, test } from '@playwright/test'
import {
  addBike,
  answerOf,
  asBackup,
  asFile,
  cutShort,
  daysAgo,
  goTo,
  goToFiles,
  saveBackup,
  readWithRule,
  workedOut,
  rideFile,
} from './bench-hand.ts'

test('a mechanic brings in rides, reads the chain three times, and carries the log away and back', async ({
  page,
}) => {
  await test.step('an empty log says what to do first', async () => {
    await page.goto('/')
    await expect(answerOf(page)).toHaveText('No bike yet.')
    await expect(page.getByRole('link', { name: 'Open the demo' })).toBeVisible()
  })

  await test.step('the bike goes in, with its chain since two months ago', async () => {
    await addBike(page)
    await goTo(page, 'Gauge')
    await expect(answerOf(page)).toHaveText(/^Tern’s chain is new: ride it\. First look in .*\.$/)
  })

  await test.step('rides come in from files; a broken one is named, and the rest goes in', async () => {
    await goTo(page, 'Miles')
    const files = [
      asFile('monday.gpx', rideFile(daysAgo(20), 3600)),
      cutShort(),
      asFile('tuesday.gpx', rideFile(daysAgo(19), 3600)),
    ]
    await page.getByLabel('Ride files').setInputFiles(files)
    await expect(page.getByText('Could not be read')).toBeVisible()
    await expect(page.getByText(/The file is cut short/)).toBeVisible()
    await page.getByLabel('Conditions').selectOption('wet-road')
    await page.getByRole('button', { name: /^Add 2 rides, 36 km/ }).click()
    await expect(answerOf(page)).toContainText(/36\u00a0km/)
  })

  await test.step('the same ride offered again is recognised', async () => {
    await page.getByLabel('Ride files').setInputFiles([asFile('copy.gpx', rideFile(daysAgo(20), 3600))])
    await expect(page.getByText('The same ride as monday.gpx.')).toBeVisible()
    await page.getByRole('button', { name: 'Go back' }).click()
    await expect(page.getByText('Nothing was added.')).toBeVisible()
  })

  await test.step('files can be dropped, too', async () => {
    const dropped = await page.evaluateHandle(
      (text) => {
        const transfer = new DataTransfer()
        transfer.items.add(new File([text], 'dropped.gpx'))
        return transfer
      },
      rideFile(daysAgo(20), 3600),
    )
    await page
      .getByText('Drop ride files here, several at once.')
      .dispatchEvent('drop', { dataTransfer: dropped })
    await expect(page.getByText('The same ride as monday.gpx.')).toBeVisible()
    await page.getByRole('button', { name: 'Go back' }).click()
  })

  await test.step('one more by hand', async () => {
    await page.getByLabel('Distance, km').fill('1250')
    await page.getByRole('button', { name: 'Add the ride' }).click()
    await expect(answerOf(page)).toContainText(/1\u00a0286\u00a0km/)
  })

  await test.step('three readings, and a verdict', async () => {
    await goTo(page, 'Gauge')
    for (const length of ['306.5', '306.0', '306.5']) await readWithRule(page, length)
    await expect(page.getByRole('checkbox')).toHaveCount(3)
    await workedOut(page)
    await expect(answerOf(page)).toContainText(
      /Tern’s chain is at 0\.\d\d\u00a0%, probably 0\.\d\d to 0\.\d\d\. Swap it/,
    )
  })
  const verdict = (await answerOf(page).textContent()) ?? ''

  await test.step('a reading left out changes it, put back restores it', async () => {
    const first = page.getByRole('checkbox').first()
    await first.click()
    await expect(first).not.toBeChecked()
    await expect(answerOf(page)).not.toHaveText(verdict)
    await expect(page.getByText('left out', { exact: true })).toBeVisible()
    await first.click()
    await expect(answerOf(page)).toHaveText(verdict)
  })

  await test.step('a reload changes nothing', async () => {
    await page.reload()
    await expect(answerOf(page)).toHaveText(verdict)
  })

  const saved = await test.step('the log is saved as one file', async () => {
    await goToFiles(page)
    return saveBackup(page)
  })

  await test.step('wiped, the log is empty', async () => {
    await page.getByRole('button', { name: 'Wipe the log' }).click()
    const sheet = page.getByRole('dialog', { name: 'Wipe this log?' })
    await sheet.getByRole('button', { name: 'Wipe the log' }).click()
    await expect(sheet.getByText('Type the word wipe to go on.')).toBeVisible()
    await sheet.getByLabel('Type wipe to go on').fill('wipe')
    await sheet.getByRole('button', { name: 'Wipe the log' }).click()
    await expect(answerOf(page)).toHaveText('Your log: 0 entries.')
  })

  await test.step('a file that is no backup changes nothing', async () => {
    await page.getByLabel('Backup file').setInputFiles(asBackup('letter.json', 'Dear mechanic'))
    await expect(page.getByText(/not a Jolt Mile backup.*Nothing was changed\./)).toBeVisible()
    await expect(answerOf(page)).toHaveText('Your log: 0 entries.')
  })

  await test.step('of one that is cut short and damaged, what is whole comes in, and the rest is kept aside', async () => {
    const lines = saved.split('\n').slice(0, 6)
    lines[2] = (lines[2] ?? '').replace('"kind":"part"', '"kind":"inspection"')
    await page.getByLabel('Backup file').setInputFiles(asBackup('short.json', lines.join('\n')))
    await expect(
      page.getByText(/The file is cut short or damaged: 5 of its .* entries could be read/),
    ).toBeVisible()
    await expect(answerOf(page)).toHaveText('Your log: 4 entries.')
    await expect(page.getByText('1 entry needs a newer version of the app')).toBeVisible()
  })

  await test.step('brought in again, it says what was new, and the verdict is the same', async () => {
    const entries = (JSON.parse(saved) as { count: number }).count
    await page.getByLabel('Backup file').setInputFiles(asBackup('tern.json', saved))
    await expect(
      page.getByText(`${entries - 4} entries came in new from tern.json; 4 were here already.`),
    ).toBeVisible()
    await page.getByLabel('Backup file').setInputFiles(asBackup('tern.json', saved))
    await expect(
      page.getByText(`0 entries came in new from tern.json; ${entries} were here already.`),
    ).toBeVisible()
    await goTo(page, 'Gauge')
    await expect(answerOf(page)).toHaveText(verdict)
  })
})

test('a long import shows its progress and can be cancelled, leaving nothing half in', async ({ page }) => {
  await addBike(page)
  await goTo(page, 'Miles')
  const many = Array.from({ length: 80 }, (_, i) => asFile(`ride-${i}.gpx`, rideFile(daysAgo(90 - i), 6000)))
  // The hand is on the button before the work begins: a fast machine is done while a slow one still looks for it.
  const cancelled = page
    .getByRole('progressbar')
    .waitFor()
    .then(() => page.getByRole('button', { name: 'Cancel' }).click())
  await Promise.all([page.getByLabel('Ride files').setInputFiles(many), cancelled])
  await expect(page.getByText('Cancelled. Nothing was added.')).toBeVisible()
  await expect(answerOf(page)).toHaveText('Tern has no rides in the log yet.')
})

test('the rides that ship with the demo can be brought in', async ({ page }) => {
  await addBike(page, '2026-01-01')
  await goTo(page, 'Miles')
  const names = ['quay-and-back', 'bakery-round', 'limestone-track', 'cut-short']
  await page.getByLabel('Ride files').setInputFiles(names.map((name) => `demo/rides/${name}.gpx`))
  await expect(page.getByText('limestone-track.gpx')).toBeVisible()
  await expect(page.getByText(/cut short: it ends on line/)).toBeVisible()
  await page.getByRole('button', { name: /^Add 3 rides/ }).click()
  await expect(
    page.getByRole('region', { name: 'Rides', exact: true }).last().getByRole('listitem'),
  ).toHaveCount(3)
})

test('a slip of the pen gets a question, and what was typed stays', async ({ page }) => {
  await addBike(page)
  await goTo(page, 'Gauge')
  await page.getByLabel('Length, mm', { exact: true }).fill('317.5')
  await page.getByRole('button', { name: 'Save the reading' }).click()
  await expect(page.getByText('That would be 4.17 %: did you count 25 pitches?')).toBeVisible()
  await expect(page.getByLabel('Length, mm', { exact: true })).toHaveValue('317.5')
  await page.getByLabel('Pitches', { exact: true }).fill('25')
  await page.getByRole('button', { name: 'Save the reading' }).click()
  await expect(page.getByRole('checkbox')).toHaveCount(1)

  await page.getByRole('radio', { name: 'two-contact drop-in' }).check()
  await page
    .getByRole('group', { name: 'The 0.75 side' })
    .getByRole('radio', { name: 'does not enter' })
    .check()
  await page.getByRole('group', { name: 'The 1.0 side' }).getByRole('radio', { name: 'drops in' }).check()
  await page.getByRole('button', { name: 'Save the reading' }).click()
  await expect(page.getByText('1.0 drops but 0.75 does not: read both again.')).toBeVisible()
  await expect(page.getByRole('checkbox')).toHaveCount(1)
})

test('from a wash to a swap: the rest of the job runs end to end', async ({ page }) => {
  await addBike(page)
  await goTo(page, 'Wash')
  await expect(answerOf(page)).toHaveText('The lube on Tern’s chain is not entered.')
  await page.getByRole('group', { name: 'Put on' }).getByRole('radio', { name: 'wet lube' }).check()
  await page.getByRole('button', { name: 'Log it' }).click()
  await expect(answerOf(page)).toContainText(
    /wet lube on Tern’s chain is good for about 250\u00a0km more on the roads of this time of year/,
  )

  await goTo(page, 'Teeth')
  await expect(answerOf(page)).toContainText('A fresh chain will run on all cogs.')
  await page
    .getByRole('list', { name: 'Cogs, rings and pulleys' })
    .getByRole('button', { name: /^14 / })
    .click()
  await page.getByRole('group', { name: 'Or say it in a word' }).getByRole('radio', { name: 'spent' }).click()
  // Nobody has ridden it so far that its road would explain it: it must have come used.
  await expect(answerOf(page)).toContainText(/skip on .*14/)
  await expect(page.getByText(/never test it standing/)).toBeVisible()

  await goTo(page, 'Gauge')
  for (const length of ['308', '308', '308']) await readWithRule(page, length)
  await goTo(page, 'Decide')
  await expect(answerOf(page)).toContainText('Swap the chain and cogs together.')
  await expect(page.getByText(/keep the old one: you may need to put it back/)).toBeVisible()

  await page.getByRole('link', { name: 'Log the swap' }).click()
  await page.getByRole('button', { name: 'Log the chain' }).click()
  await expect(answerOf(page)).toContainText('on chain 2 for 0')
  await goTo(page, 'Today')
  // The chain is new; the tooth is not.
  await expect(page.getByText('Keep the chain. Check the worn teeth.', { exact: true })).toBeVisible()
  await expect(page.getByText(/^The chain was fitted new, 0\u00a0km ago\./)).toBeVisible()
})
