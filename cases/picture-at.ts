import { readFileSync } from 'node:fs'
import { extname } from 'node:path'
import jpeg from 'jpeg-js'
import { PNG } from 'pngjs'
import type { Pixels } from '../src/core/teeth/picture/pixels.ts'

/** Reads a picture from a file, as the browser would hand it over. @throws RangeError for what is no PNG or JPEG */
export function pictureAt(path: string): Pixels {
  const bytes = readFileSync(path)
  switch (extname(path).toLowerCase()) {
    case '.png':
      return PNG.sync.read(bytes)
    case '.jpg':
    case '.jpeg':
      return jpeg.decode(bytes, { useTArray: true, maxMemoryUsageInMB: 2048 })
    default:
      throw new RangeError('The file is no PNG or JPEG picture.')
  }
}
