import type { IncomingHttpHeaders } from 'node:http'
import { hostname, networkInterfaces } from 'node:os'

const WILDCARDS = new Set(['0.0.0.0', '::', ''])

/** Whether an address means every address of this machine. */
export const isEverywhere = (host: string): boolean => WILDCARDS.has(host)

/** The addresses of this machine that others may reach it by. */
export const ownAddresses = (): readonly string[] =>
  Object.values(networkInterfaces())
    .flatMap((addresses) => addresses ?? [])
    .filter(({ internal }) => !internal)
    .map(({ address }) => address)

/** The names a server goes by: an address in IPv6 without its brackets. */
export function ourHosts(host: string): ReadonlySet<string> {
  const local = ['localhost', '127.0.0.1', '::1']
  return new Set(
    isEverywhere(host) ? [...local, hostname().toLowerCase(), ...ownAddresses()] : [...local, host],
  )
}

/** Whether a Host header names this server. Without that, any site could be made to point here and read what it likes. */
export function isOurHost(header: string | undefined, hosts: ReadonlySet<string>): boolean {
  const name = /^(?:\[([0-9a-f:]+)\]|([a-z0-9.-]+))(?::\d{1,5})?$/i.exec(header ?? '')
  return name !== null && hosts.has((name[1] ?? name[2] ?? '').toLowerCase())
}

/**
 * Whether a page of another site asks. Browsers say so by themselves; what is no browser says nothing, and may ask.
 */
export function isFromElsewhere(headers: IncomingHttpHeaders): boolean {
  const site = headers['sec-fetch-site']
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return true
  const { origin, host } = headers
  return origin !== undefined && origin.replace(/^https?:\/\//, '') !== host
}
