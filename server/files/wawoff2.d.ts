declare module "wawoff2" {
  /** @throws when the bytes are not a whole WOFF2 */
  const wawoff2: {
    decompress(bytes: Uint8Array): Promise<Uint8Array>;
    compress(bytes: Uint8Array): Promise<Uint8Array>;
  };
  export default wawoff2;
}
