import { randomBytes } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import helmet from '@fastify/helmet'
import statics from '@fastify/static'
import { addCaliper } from './caliper.ts'
import { addPartsSupplier } from './parts-supplier.ts'
import { addRideExchange } from './ride-exchange.ts'
import { addWeather } from './weather.ts'
import Fastify, { type FastifyInstance, type FastifyReply } from 'fastify'
import { isFromElsewhere, isOurHost, ourHosts } from './callers.ts'

const YEAR_S = 31_536_000
/** A question that is not all there after this long, ms, is cut off. */
const PATIENCE_MS = 10_000
/** So often, ms, it is looked whose time is up: with the usual half minute, patience would be that much longer. */
const LOOK_EVERY_MS = 1000

/** The built page, with this answer's own mark for the one style the sheets add. */
function sendPage(reply: FastifyReply, page: string): FastifyReply {
  const nonce = randomBytes(16).toString('base64')
  return reply
    .header('content-security-policy', policy(nonce))
    .header('cache-control', 'no-store')
    .type('text/html; charset=utf-8')
    .send(page.replace('name="style-nonce" content=""', `name="style-nonce" content="${nonce}"`))
}

/** Everything from here, nothing from elsewhere; no inline script, no style but ours and the marked one. */
function policy(nonce?: string): string {
  const style = nonce === undefined ? "'self'" : `'self' 'nonce-${nonce}'`
  return [
    "default-src 'none'",
    "script-src 'self'",
    "worker-src 'self'",
    `style-src ${style}`,
    "font-src 'self'",
    "img-src 'self' blob:",
    "connect-src 'self'",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
  ].join('; ')
}

/** Paths that try to climb out, hide something or name a hidden file. */
function isTrick(rawUrl: string): boolean {
  const [path = ''] = rawUrl.split('?')
  let decoded: string
  try {
    decoded = decodeURIComponent(path)
  } catch {
    return true
  }
  return /\.\.|\\|\0|\/\.|\/\/|%/.test(decoded)
}

/**
 * The server: the built app and its health. Holds no records: they live in the browser. It answers to its own names
 * alone, and lets no page from elsewhere ask anything of its stand-ins.
 * @param distFolder where `npm run build` put the app
 * @param host the address it listens on
 */
export async function buildServer(distFolder: string, host = '127.0.0.1'): Promise<FastifyInstance> {
  const app = Fastify({
    logger: false,
    routerOptions: { ignoreTrailingSlash: true },
    requestTimeout: PATIENCE_MS,
    http: { headersTimeout: PATIENCE_MS, connectionsCheckingInterval: LOOK_EVERY_MS },
    forceCloseConnections: true,
  })
  const hosts = ourHosts(host)
  const indexFile = join(distFolder, 'index.html')
  const page = existsSync(indexFile) ? readFileSync(indexFile, 'utf8') : undefined

  await app.register(helmet, {
    contentSecurityPolicy: false,
    crossOriginEmbedderPolicy: true,
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
  })
  app.addHook('onRequest', async (request, reply) => {
    reply.header('content-security-policy', policy())
    reply.header('permissions-policy', 'camera=(), microphone=(), geolocation=()')
    if (!isOurHost(request.headers.host, hosts))
      return reply.code(421).send({ error: 'This server does not go by that name.' })
    const url = request.raw.url ?? ''
    if (url.startsWith('/api/') && isFromElsewhere(request.headers))
      return reply.code(403).send({ error: 'Only the app’s own pages may ask this.' })
    if (isTrick(url)) return reply.code(400).send({ error: 'There is nothing at this address.' })
    return undefined
  })
  app.get('/api/health', () => ({ status: page === undefined ? 'not built' : 'ready' }))
  addCaliper(app)
  addPartsSupplier(app)
  addRideExchange(app)
  addWeather(app)
  app.all('/api/*', (_request, reply) => reply.code(404).send({ error: 'There is nothing at this address.' }))

  await app.register(statics, {
    root: distFolder,
    wildcard: false,
    index: false,
    dotfiles: 'deny',
    globIgnore: ['index.html', '.vite/**'],
    setHeaders: (reply, path) => {
      // File names in assets/ carry a digest of their contents.
      // The rest is asked for again each time, so that a new version is noticed.
      const isForGood = path.includes(`${join(distFolder, 'assets')}`)
      reply.header('cache-control', isForGood ? `public, max-age=${YEAR_S}, immutable` : 'no-cache')
    },
  })
  // The service worker keeps the page under this name, and shows it for every address of the app.
  app.get('/index.html', (_request, reply) =>
    page === undefined ? reply.callNotFound() : sendPage(reply, page),
  )
  app.setNotFoundHandler((request, reply) => {
    const [path = ''] = (request.raw.url ?? '').split('?')
    if ((request.method !== 'GET' && request.method !== 'HEAD') || /\.[a-z0-9]+$/i.test(path))
      return reply.code(404).send({ error: 'There is nothing at this address.' })
    if (page === undefined)
      return reply.code(503).type('text/plain').send('The app is not built yet: npm run build')
    return sendPage(reply, page)
  })
  return app
}
