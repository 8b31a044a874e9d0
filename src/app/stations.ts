import type { ComponentType } from 'react'

/** A station: a post along the road, in the order of the work, or beside it. */
export interface Station {
  readonly path: string
  readonly name: string
  /** The letter that follows `g`. */
  readonly key: string
  readonly beside?: true
  readonly load: () => Promise<{ readonly default: ComponentType }>
}

export const STATIONS: readonly Station[] = [
  { path: '/', name: 'Today', key: 't', load: () => import('../stations/today/Today.tsx') },
  { path: '/miles', name: 'Miles', key: 'm', load: () => import('../stations/miles/Miles.tsx') },
  { path: '/gauge', name: 'Gauge', key: 'g', load: () => import('../stations/gauge/Gauge.tsx') },
  { path: '/teeth', name: 'Teeth', key: 'x', load: () => import('../stations/teeth/Teeth.tsx') },
  { path: '/wash', name: 'Wash', key: 'w', load: () => import('../stations/wash/Wash.tsx') },
  { path: '/decide', name: 'Decide', key: 'd', load: () => import('../stations/decide/Decide.tsx') },
  {
    path: '/shelf',
    name: 'Shelf',
    key: 's',
    beside: true,
    load: () => import('../stations/shelf/Shelf.tsx'),
  },
  {
    path: '/rates',
    name: 'Rates',
    key: 'r',
    beside: true,
    load: () => import('../stations/rates/Rates.tsx'),
  },
  {
    path: '/log',
    name: 'Log',
    key: 'l',
    beside: true,
    load: () => import('../stations/log/Log.tsx'),
  },
  {
    path: '/files',
    name: 'Files',
    key: 'f',
    beside: true,
    load: () => import('../stations/files/Files.tsx'),
  },
]
