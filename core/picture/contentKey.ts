/**
 * A 106-bit key of any JSON value: two 53-bit mixing hashes (multiply-xorshift, public-domain construction) in one pass
 * over the text. Equal content gives equal keys on every platform. Not for secrets.
 */
export function contentKey(value: unknown): string {
  const text = typeof value === "string" ? value : JSON.stringify(value);
  let a = A ^ SEED;
  let b = B ^ SEED;
  let c = A ^ OTHER_SEED;
  let d = B ^ OTHER_SEED;
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i);
    a = Math.imul(a ^ unit, 2654435761);
    b = Math.imul(b ^ unit, 1597334677);
    c = Math.imul(c ^ unit, 2654435761);
    d = Math.imul(d ^ unit, 1597334677);
  }
  return mixed(a, b).toString(36).padStart(11, "0") + mixed(c, d).toString(36).padStart(11, "0");
}

const A = 0xdeadbeef;
const B = 0x41c6ce57;
const SEED = 0x9e3779b9;
const OTHER_SEED = 0x51ed270b;

/** Two hashes of 32 bits as one of 53. */
function mixed(first: number, second: number): number {
  let a = first;
  let b = second;
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return 4294967296 * (2097151 & b) + (a >>> 0);
}
