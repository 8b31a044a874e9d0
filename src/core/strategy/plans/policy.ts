/** What an owner does about a drivetrain. Elongations in % as the gauge shows them. */
export type Policy =
  /** A new chain at some elongation; the cassette too where a fresh chain would skip on it. */
  | { readonly kind: 'replace'; readonly at: number }
  /** So many chains from new that take turns every so many km; each is retired at some elongation, and then all begin anew. */
  | { readonly kind: 'rotate'; readonly chains: number; readonly at: number; readonly everyKm: number }
  /** Chain and cogs run to the end together. */
  | { readonly kind: 'runout'; readonly at: number }

/** How many chains are bought at once. */
export const chainsAtOnce = (policy: Policy): number => (policy.kind === 'rotate' ? policy.chains : 1)
