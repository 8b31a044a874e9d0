import { v4 } from 'uuid'

/**
 * An id for whatever entries speak of (a part, a fault, a wash, a picture): a version 4 UUID (RFC 9562). The browser's
 * own maker of them is missing at an address that is neither https nor localhost; this one only needs random bytes.
 */
export const newId = (): string => v4()
