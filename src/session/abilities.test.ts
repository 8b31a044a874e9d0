import { expect, test } from '@jest/globals'
import { abilitiesAt } from './abilities.ts'

test('what a browser holds back at a plain network address is told one by one', () => {
  expect(abilitiesAt({ isSecureContext: false, navigator: { language: 'en' } })).toEqual({
    isSecure: false,
    offline: false,
    promise: false,
    awake: false,
    folder: false,
    secondCopy: false,
  })
})

test('at localhost it has what it has', () => {
  const at = abilitiesAt({
    isSecureContext: true,
    showDirectoryPicker: () => undefined,
    navigator: { serviceWorker: {}, storage: { persist: () => undefined }, wakeLock: {} },
  })
  expect(at).toEqual({
    isSecure: true,
    offline: true,
    promise: true,
    awake: true,
    folder: true,
    secondCopy: false,
  })
})
