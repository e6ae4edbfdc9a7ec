/** Where the bytes of photos lie, by name. All of it throws what its file system or its server says. */
export type PhotoStore = {
  /** Undefined: there is none of that name. */
  readonly get: (name: string) => Promise<Uint8Array | undefined>;
  /** Whole or not at all, also when it is broken off; a name is of its bytes, so that it may be put again. */
  readonly put: (name: string, bytes: Uint8Array) => Promise<void>;
  readonly drop: (name: string) => Promise<void>;
  /** Takes away what a crash left half written; before anything is taken in. */
  readonly sweep: () => Promise<void>;
};
