import { picturesNamed, type KeptPicture } from '../core/log/kept-picture.ts'
import type { Entry } from '../core/log/entries.ts'
import type { LogDatabase } from './database.ts'
import { newId } from './new-id.ts'

/** Keeps a picture under a new id. @returns the id, for the entry that it belongs to */
export async function keepPicture(database: LogDatabase, jpeg: Blob): Promise<string> {
  const id = newId()
  await database.pictures.put({ id, jpeg: new Uint8Array(await jpeg.arrayBuffer()) })
  return id
}

/** A kept picture; undefined where it is not here. */
export async function readPicture(database: LogDatabase, id: string): Promise<Blob | undefined> {
  const held = await database.pictures.get(id)
  return held && new Blob([held.jpeg], { type: 'image/jpeg' })
}

/** Deletes a kept picture, for good. */
export const dropPicture = (database: LogDatabase, id: string): Promise<void> => database.pictures.delete(id)

/** The kept pictures that these entries name, as far as they are here. */
export async function picturesOf(
  database: LogDatabase,
  entries: readonly Entry[],
): Promise<readonly KeptPicture[]> {
  return (await database.pictures.bulkGet([...picturesNamed(entries)])).flatMap((one) => one ?? [])
}

/** Takes in those pictures of another log that these entries name: one that was deleted here stays so. */
export async function takePictures(
  database: LogDatabase,
  entries: readonly Entry[],
  theirs: readonly KeptPicture[],
): Promise<void> {
  const named = new Set(picturesNamed(entries))
  await database.pictures.bulkPut(theirs.filter(({ id }) => named.has(id)))
}
