/** How a chain looks and sounds, in one tap. */
export const CHAIN_LOOKS = ['quiet', 'dry', 'squeaks', 'black', 'rusty'] as const
export type ChainLook = (typeof CHAIN_LOOKS)[number]
