/** Hands bytes or text to the browser's own way of saving files. */
export function saveBytes(name: string, contents: BlobPart | Uint8Array, type: string): void {
  const url = URL.createObjectURL(new Blob([contents as BlobPart], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}

/** Hands a JSON text to the browser's own way of saving files. */
export const saveText = (name: string, text: string): void => saveBytes(name, text, 'application/json')
