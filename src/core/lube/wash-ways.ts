/** How a chain is cleaned and lubricated, as a mechanic would name it. */
export const WASH_WAYS = [
  'wipe',
  'degrease',
  'bath',
  'full',
  'strip-wax',
  're-wax',
  'drip-wax',
  'drip',
  'spray',
] as const
export type WashWay = (typeof WASH_WAYS)[number]

/** What a workshop or kitchen has for it. */
export const KIT_TOOLS = [
  'stand',
  'pot',
  'chain-bath',
  'ultrasonic',
  'compressed-air',
  'cassette-tool',
] as const
export type KitTool = (typeof KIT_TOOLS)[number]
