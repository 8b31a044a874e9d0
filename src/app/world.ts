import type { World } from '../core/log/world.ts'
import { openDatabase } from '../store/database.ts'
import { openLedger } from '../store/ledger.ts'
import { placeBeside } from '../store/second-copy.ts'

/** The demo lives under this path, in a database of its own. */
export const DEMO_PATH = '/demo'

/** Which world the address asks for. */
export const world: World =
  location.pathname === DEMO_PATH || location.pathname.startsWith(`${DEMO_PATH}/`) ? 'demo' : 'own'

/** Where the router's paths begin in this world. */
export const basename = world === 'demo' ? DEMO_PATH : '/'

/** The one log this page works on. */
export const ledger = openLedger(openDatabase(world), Date.now, world === 'own' ? placeBeside : undefined)
