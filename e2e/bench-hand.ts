import { readFileSync } from 'node:fs'
import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/** A recorded ride of `points` seconds along a quay, some 5 m apart, on a given morning. */
export function rideFile(day: string, points = 1200): string {
  const start = Date.parse(`${day}T07:30:00Z`)
  const track = Array.from({ length: points }, (_, i) => {
    const time = new Date(start + i * 1000).toISOString()
    return `<trkpt lat="${(44.05 + i * 4.5e-5).toFixed(6)}" lon="-29.4"><time>${time}</time></trkpt>`
  }).join('\n')
  return `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><name>Quay ${day}</name><trkseg>${track}</trkseg></trk></gpx>`
}

/** A file as the picker hands it over. */
export const asFile = (name: string, text: string) => ({
  name,
  mimeType: 'application/gpx+xml',
  buffer: Buffer.from(text),
})

/** The sample that is cut short in the middle. */
export const cutShort = () => asFile('cut-short.gpx', readFileSync('cases/rides/cut-short.gpx', 'utf8'))

/** A day so many days before today, as a date field holds it. */
export const daysAgo = (days: number): string =>
  new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10)

/** Puts a bike in the log: Tern, seven steel cogs, a chain fitted new a while ago. */
export async function addBike(page: Page, since = daysAgo(60), name = 'Tern'): Promise<void> {
  await page.goto('/shelf?new=bike')
  const sheet = page.getByRole('dialog', { name: 'A new bike' })
  await sheet.getByLabel('Name').fill(name)
  await sheet.getByText('5 to 10 cogs').click()
  await sheet.getByText('More, now or later').click()
  await sheet.getByLabel('What it is').fill('tourer, 2 x 7')
  await sheet.getByLabel('Teeth on the rings').fill('36 48')
  await sheet.getByLabel('Teeth on the cogs').fill('12 14 16 18 21 24 28')
  await sheet.getByLabel('Links in the chain').fill('112')
  await sheet.getByLabel('On it since').fill(since)
  await sheet.getByRole('button', { name: 'Add the bike' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(name)
}

/** Goes to a station by its post. The sentence of the station before stays until the new one has come: not yet there. */
export async function goTo(page: Page, station: string): Promise<void> {
  const post = page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: station })
  await post.click()
  await expect(post).toHaveAttribute('aria-current', 'page')
  await expect(answerOf(page)).toBeVisible()
}

/** Takes a reading with a rule over 24 pitches. */
export async function readWithRule(page: Page, lengthMm: string): Promise<void> {
  await page.getByRole('radio', { name: 'rule', exact: true }).check()
  await page.getByLabel('Length, mm', { exact: true }).fill(lengthMm)
  await page.getByRole('button', { name: 'Save the reading' }).click()
  await expect(page.getByLabel('Length, mm', { exact: true })).toHaveValue('')
}

/** A file as the picker hands over a backup. */
export const asBackup = (name: string, text: string) => ({
  name,
  mimeType: 'application/json',
  buffer: Buffer.from(text),
})

/** Saves a backup on Files, once the app has read it again, and gives what is in it. */
export async function saveBackup(page: Page): Promise<string> {
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save a backup' }).click()
  const text = readFileSync(await (await download).path(), 'utf8')
  await expect(page.getByText(/^Saved: all .* can be read back from it\.$/)).toBeVisible()
  return text
}

/** Goes to Files through the menu. */
export async function goToFiles(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('menuitem', { name: /Files/ }).click()
  await expect(answerOf(page)).toContainText('Your log:')
}

/** The sentence the station opens with. */
export const answerOf = (page: Page) => page.getByRole('heading', { level: 1 })

/** Waits until what is said is of the log as it is. */
export async function workedOut(page: Page): Promise<void> {
  await expect(page.getByText('Working out the chains…')).toHaveCount(0)
  await expect(page.getByText('Being updated with what was added.')).toHaveCount(0)
}

/** No finding of weight, in either theme. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze()
  const said = violations.map(
    ({ id, impact, nodes }) =>
      `${impact} ${id}: ${nodes.map(({ target, any }) => `${target.join(' ')} (${any[0]?.message ?? ''})`).join(' | ')}`,
  )
  expect(said).toEqual([])
}
