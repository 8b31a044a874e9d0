/** What the tests use of the standard's own validator, which ships without types. */
declare module 'datapackage' {
  export interface Resource {
    readonly name: string
    readonly valid: boolean
    readonly errors: readonly Error[]
    /** Reads every row by its schema. @throws at the first cell, key or link that breaks it */
    read(options: { relations: boolean }): Promise<readonly unknown[]>
  }
  export class Package {
    static load(descriptor: string, options?: { basePath?: string; strict?: boolean }): Promise<Package>
    readonly valid: boolean
    readonly errors: readonly Error[]
    readonly resources: readonly Resource[]
  }
}
