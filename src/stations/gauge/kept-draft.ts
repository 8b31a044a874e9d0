import { object } from 'yup'
import type { World } from '../../session/log-context.ts'
import { forgetText, recallText, rememberText } from '../../ui/local-memory.ts'
import { takeSchema, type TakeDraft } from './take-form.ts'

const keyOf = (world: World, chain: string): string => `jolt-mile draft ${world} ${chain}`

/** The draft of a reading kept from before a reload, as far as it is sound; anything else is left behind. */
export function recallDraft(world: World, chain: string): Partial<TakeDraft> {
  try {
    const held: unknown = JSON.parse(recallText(keyOf(world, chain)) ?? '{}')
    const partial = object(takeSchema.fields).partial()
    const cast = partial.cast(held, { stripUnknown: true, assert: false }) as Record<string, unknown>
    const sound = ([, value]: [string, unknown]) =>
      value !== null && value !== undefined && !Number.isNaN(value)
    return Object.fromEntries(Object.entries(cast).filter(sound))
  } catch {
    return {}
  }
}

/**
 * Keeps a draft, so that a reload or a flat battery loses nothing. The day is not kept: taken up again tomorrow, a
 * draft of today would be logged a day early.
 */
export function keepDraft(world: World, chain: string, draft: Partial<TakeDraft>): void {
  const { day, ...kept } = draft
  rememberText(keyOf(world, chain), JSON.stringify(kept))
}

/** Forgets the draft of a reading that was saved. */
export const dropDraft = (world: World, chain: string): void => forgetText(keyOf(world, chain))
