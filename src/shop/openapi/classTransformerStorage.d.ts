declare module 'class-transformer/cjs/storage.js' {
  // The store that the decorators write to; the package does not publish its type.
  export const defaultMetadataStorage: import('class-transformer/types/MetadataStorage').MetadataStorage;
}
