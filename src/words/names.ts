import type { DrivetrainKind } from '../core/gearing/drivetrains.ts'
import type { Condition, Quarter } from '../core/exposure/conditions.ts'
import type { Motor, Shifting, Storage } from '../core/log/kinds/bike.ts'
import type { SprocketMaterial } from '../core/log/kinds/part.ts'
import type { WashMethod } from '../core/log/kinds/wash.ts'
import type { Garage } from '../core/log/garage.ts'
import type { Lube } from '../core/lube/lubes.ts'
import type { School } from '../core/log/kinds/limit.ts'
import type { Sprocket } from '../core/strategy/facts/sprockets.ts'
import type { ChainWord } from '../core/strategy/wear-word.ts'
import type { Instrument, LiftReading, LimitResult, PlayReading } from '../core/measure/reading.ts'

export const CONDITION_NAMES: Readonly<Record<Condition, string>> = {
  'dry-road': 'dry road',
  'wet-road': 'rain',
  'winter-salt': 'winter salt',
  'dry-gravel': 'dry gravel or dust',
  'wet-gravel': 'wet gravel or sand',
  mud: 'mud',
  indoor: 'indoors',
}

export const QUARTER_NAMES: Readonly<Record<Quarter, string>> = {
  'dec-feb': 'December to February',
  'mar-may': 'March to May',
  'jun-aug': 'June to August',
  'sep-nov': 'September to November',
}

export const LUBE_NAMES: Readonly<Record<Lube, string>> = {
  'dry-lube': 'dry lube',
  'wet-lube': 'wet lube',
  'drip-wax': 'drip wax',
  'immersion-wax': 'immersion wax',
  none: 'degreased, no lube',
}

export const WASH_NAMES: Readonly<Record<WashMethod, string>> = {
  none: 'not cleaned',
  wipe: 'wiped',
  'on-bike': 'degreased on the bike',
  'off-bike': 'cleaned off the bike',
}

/** The words for wear, and that for not knowing. */
export const WORD_NAMES: Readonly<Record<ChainWord, string>> = {
  fresh: 'fresh',
  good: 'good',
  watch: 'watch',
  swap: 'swap',
  spent: 'spent',
  unsure: 'unsure',
}

/** What a part with teeth is on the bike. */
export const ROLE_NAMES: Readonly<Record<Sprocket['role'], string>> = {
  cog: 'cog',
  ring: 'ring',
  'guide pulley': 'guide pulley',
  'tension pulley': 'tension pulley',
}

/** What teeth are made of. */
export const MATERIAL_NAMES: Readonly<Record<SprocketMaterial, string>> = {
  steel: 'steel',
  aluminium: 'aluminium',
  titanium: 'titanium',
}

/** When chains are changed, by the rider's choice. */
export const SCHOOL_NAMES: Readonly<Record<School, string>> = { early: 'early', usual: 'usual', late: 'late' }

/** What an instrument is, in full. */
export const INSTRUMENT_NAMES: Readonly<Record<Instrument, string>> = {
  rule: 'rule',
  strip: 'printed strip',
  'caliper-pair': 'caliper, inside and outside',
  'two-contact-scale': 'two-contact gauge with a scale',
  'two-contact-limit': 'two-contact drop-in gauge',
  'three-contact-scale': 'three-contact gauge with a scale',
  'three-contact-limit': 'three-contact drop-in gauge',
  'ring-lift': 'lift at the front of the ring',
  'side-play': 'side-to-side floppiness',
}

export const SHORT_INSTRUMENT: Readonly<Record<Instrument, string>> = {
  rule: 'rule',
  strip: 'printed strip',
  'caliper-pair': 'caliper',
  'two-contact-scale': 'two-contact scale',
  'two-contact-limit': 'two-contact drop-in',
  'three-contact-scale': 'three-contact scale',
  'three-contact-limit': 'three-contact drop-in',
  'ring-lift': 'lift at the ring',
  'side-play': 'floppiness',
}

/** What a tool is called: by its own name, or as an instrument of its kind. */
export const toolName = (tools: Garage['tools'], tool: string): string =>
  tools.get(tool)?.entry.name ?? SHORT_INSTRUMENT[tool as Instrument] ?? 'tool'

export const RESULT_NAMES: Readonly<Record<LimitResult, string>> = {
  clear: 'does not enter',
  starts: 'enters, does not seat',
  drops: 'drops in',
  'not-in': 'does not seat',
}

export const LIFT_NAMES: Readonly<Record<LiftReading['result'], string>> = {
  none: 'does not lift',
  light: 'light shows',
  'half-tooth': 'half a tooth of daylight',
}

export const PLAY_NAMES: Readonly<Record<PlayReading['result'], string>> = {
  little: 'bends a little',
  some: 'bends some',
  much: 'bends much',
}

export const SHIFTING_NAMES: Readonly<Record<Shifting, string>> = {
  cable: 'cable',
  electric: 'electric',
  'hub-gear': 'hub gear',
  none: 'none: one gear',
}

export const MOTOR_NAMES: Readonly<Record<Motor, string>> = {
  none: 'none',
  hub: 'in a hub',
  'mid-drive': 'at the cranks (mid-drive)',
}

export const STORAGE_NAMES: Readonly<Record<Storage, string>> = { indoors: 'indoors', outdoors: 'outdoors' }

/** Kinds of drivetrain, as one picks among them. */
export const DRIVETRAIN_NAMES: Readonly<Record<DrivetrainKind, string>> = {
  single: 'one cog or hub gear',
  few: '5 to 10 cogs',
  many: '11 or more cogs',
  electric: 'electric shifting',
  motor: 'motor at the cranks',
}
