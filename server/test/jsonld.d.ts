declare module 'jsonld' {
  /** A property of an expanded document: a list of values and nodes. */
  type Expanded = Readonly<Record<string, readonly (Expanded & { readonly '@value': string })[]>>;

  interface Options {
    readonly documentLoader: (url: string) => Promise<{ readonly documentUrl: string; readonly document: unknown }>;
    /** Refuses what would be lost. */
    readonly safe: boolean;
  }

  const jsonld: { readonly expand: (document: object, options: Options) => Promise<readonly Expanded[]> };
  export default jsonld;
}
