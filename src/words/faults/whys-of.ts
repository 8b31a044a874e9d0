import type { Network } from '../../core/faults/network.ts'

/** A reason in words for every number of a network: how often a cause is to blame, and how often it shows itself. */
export interface Whys<N extends Network> {
  readonly causes: { readonly [C in keyof N['causes']]: string }
  readonly findings: {
    readonly [F in keyof N['findings']]: { readonly [C in keyof N['findings'][F]['rows']]: string }
  }
}
