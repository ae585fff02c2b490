/**
 * A 106-bit key of any JSON value: two rounds of a 53-bit mixing hash (multiply-xorshift, public-domain
 * construction) over the text. Equal content gives equal keys on every platform. Not for secrets.
 */
export function contentKey(value: unknown): string {
  const text = typeof value === "string" ? value : JSON.stringify(value);
  return (
    hash53(text, 0x9e3779b9).toString(36).padStart(11, "0") +
    hash53(text, 0x51ed270b).toString(36).padStart(11, "0")
  );
}

function hash53(text: string, seed: number): number {
  let a = 0xdeadbeef ^ seed;
  let b = 0x41c6ce57 ^ seed;
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i);
    a = Math.imul(a ^ unit, 2654435761);
    b = Math.imul(b ^ unit, 1597334677);
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return 4294967296 * (2097151 & b) + (a >>> 0);
}
