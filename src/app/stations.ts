import type { ComponentType } from 'react'
import type { StationName } from '../words/places.ts'

type Load = () => Promise<{ readonly default: ComponentType }>

/** How the screen of each station is loaded: when somebody goes there. */
export const SCREENS: { readonly [S in StationName]: Load } = {
  today: () => import('../stations/today/Today.tsx'),
  miles: () => import('../stations/miles/Miles.tsx'),
  gauge: () => import('../stations/gauge/Gauge.tsx'),
  teeth: () => import('../stations/teeth/Teeth.tsx'),
  wash: () => import('../stations/wash/Wash.tsx'),
  decide: () => import('../stations/decide/Decide.tsx'),
  faults: () => import('../stations/faults/Faults.tsx'),
  gearing: () => import('../stations/gearing/Gearing.tsx'),
  checks: () => import('../stations/checks/Checks.tsx'),
  school: () => import('../stations/school/School.tsx'),
  shelf: () => import('../stations/shelf/Shelf.tsx'),
  rates: () => import('../stations/rates/Rates.tsx'),
  compare: () => import('../stations/compare/Compare.tsx'),
  log: () => import('../stations/log/Log.tsx'),
  files: () => import('../stations/files/Files.tsx'),
}
