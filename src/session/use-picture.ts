import { useEffect, useState } from 'react'
import { useOpenLog } from './log-context.ts'

/** A kept picture's address for as long as it is shown; "missing" where it is not on this device. */
export function usePicture(id: string | undefined): string | undefined {
  const { pictures } = useOpenLog()
  const [held, setHeld] = useState<{ readonly id: string; readonly address: string }>()
  useEffect(() => {
    if (id === undefined) return undefined
    let address: string | undefined
    let isGone = false
    void pictures.read(id).then((blob) => {
      if (isGone) return
      address = blob && URL.createObjectURL(blob)
      setHeld({ id, address: address ?? 'missing' })
    })
    return () => {
      isGone = true
      if (address !== undefined) URL.revokeObjectURL(address)
    }
  }, [id, pictures])
  return held?.id === id ? held?.address : undefined
}
