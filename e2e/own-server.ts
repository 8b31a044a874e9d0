import { buildServer } from '../server/app.ts'

/** A server of a test's own, that it may stop. */
export interface OwnServer {
  readonly url: string
  readonly stop: () => Promise<void>
}

/**
 * Serves a built app on a free port.
 * @param name a name of the server's beside localhost: a browser that is told where it leads comes by it over plain http
 */
export async function startServer(folder: string, name = '127.0.0.1'): Promise<OwnServer> {
  const app = await buildServer(folder, name)
  const url = await app.listen({ host: '127.0.0.1', port: 0 })
  return { url: url.replace('127.0.0.1', name), stop: () => app.close() }
}
