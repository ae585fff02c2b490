/**
 * Whether a picture file holds a picture that moves: a GIF of several pictures (GIF89a, graphic control extensions), an animated PNG
 * (acTL chunk), WebP (ANIM chunk) or AVIF (the brand of image sequences).
 */
export function isAnimated(type: "png" | "jpg" | "webp" | "gif" | "avif", bytes: Uint8Array): boolean {
  switch (type) {
    case "jpg":
      return false;
    case "gif":
      return countOf(bytes, [0x21, 0xf9, 0x04]) > 1;
    case "png":
      // Before the picture's own data, else it is not animated.
      return find(bytes, ascii("acTL"), 4_096) >= 0;
    case "webp":
      return find(bytes, ascii("ANIM"), 4_096) >= 0;
    case "avif":
      return find(bytes, ascii("avis"), 256) >= 0;
  }
}

const ascii = (text: string): number[] => [...text].map((letter) => letter.charCodeAt(0));

function find(bytes: Uint8Array, sought: readonly number[], within: number, from = 0): number {
  const end = Math.min(bytes.length - sought.length, within);
  for (let i = from; i <= end; i++) if (sought.every((byte, k) => bytes[i + k] === byte)) return i;
  return -1;
}

function countOf(bytes: Uint8Array, sought: readonly number[]): number {
  let count = 0;
  for (let i = find(bytes, sought, bytes.length); i >= 0; i = find(bytes, sought, bytes.length, i + 1))
    count++;
  return count;
}
