/** class-transformer exports the store of its decorators by this path only, and without types. */
declare module 'class-transformer/cjs/storage.js' {
  import type { MetadataStorage } from 'class-transformer/types/MetadataStorage.js';

  export const defaultMetadataStorage: MetadataStorage;
}
