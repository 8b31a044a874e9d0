import { buildServer } from '../server/app.ts'

/** A server of a test's own, that it may stop. */
export interface OwnServer {
  readonly url: string
  readonly stop: () => Promise<void>
}

/** Serves a built app on a free port. */
export async function startServer(folder: string): Promise<OwnServer> {
  const app = await buildServer(folder)
  const url = await app.listen({ host: '127.0.0.1', port: 0 })
  return { url, stop: () => app.close() }
}
