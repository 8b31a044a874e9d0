import type { LogDatabase } from './database.ts'

/** A picture kept beside the log: an entry names it by its id. */
export interface StoredPicture {
  readonly id: string
  /** As JPEG. */
  readonly jpeg: Uint8Array<ArrayBuffer>
}

/** Keeps a picture under a new id. @returns the id, for the entry that it belongs to */
export async function keepPicture(database: LogDatabase, jpeg: Blob): Promise<string> {
  const id = crypto.randomUUID()
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

/** The kept pictures of these ids that are here. */
export async function picturesOf(database: LogDatabase, ids: readonly string[]): Promise<StoredPicture[]> {
  return (await database.pictures.bulkGet([...ids])).flatMap((one) => one ?? [])
}
