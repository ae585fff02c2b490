/**
 * Whether the end of a WebM (EBML, RFC 8794) or MP4 (ISO 14496-12) file is missing: an element or box says that it goes on past the
 * end. Readers pass over such a piece in silence.
 */
export function isCutOff(bytes: Uint8Array, container: "webm" | "mp4"): boolean {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  try {
    return container === "webm" ? isElementCut(view, 0) : isBoxCut(view);
  } catch (error) {
    if (error instanceof RangeError) return true;
    throw error;
  }
}

/** Elements in which others stand up to the smallest that matter here: a segment, a cluster. */
const ENTERED: ReadonlySet<number> = new Set([0x18538067, 0x1f43b675]);

function isElementCut(view: DataView, from: number): boolean {
  let at = from;
  while (at < view.byteLength) {
    const id = readVint(view, at);
    const size = readVint(view, at + id.length);
    const begin = at + id.length + size.length;
    // One whose size is not known goes on to where the next of its level begins: what is in it is looked at as if beside it.
    const isOpen = size.isUnknown || ENTERED.has(id.marked);
    if (!size.isUnknown && begin + size.value > view.byteLength) return true;
    at = isOpen ? begin : begin + size.value;
  }
  return false;
}

/** A number of variable length, with and without its marking bit. @throws RangeError at the end of the file */
function readVint(view: DataView, at: number) {
  const first = view.getUint8(at);
  const length = Math.clz32(first) - 23;
  if (length > 8) throw new RangeError(`No number begins with ${first}`);
  let marked = first;
  let value = first & (0xff >> length);
  let isUnknown = value === 0xff >> length;
  for (let i = 1; i < length; i++) {
    const byte = view.getUint8(at + i);
    marked = marked * 256 + byte;
    value = value * 256 + byte;
    isUnknown &&= byte === 0xff;
  }
  return { marked, value, length, isUnknown };
}

function isBoxCut(view: DataView): boolean {
  let at = 0;
  while (at < view.byteLength) {
    const size = view.getUint32(at);
    // One of size 0 goes on to the end of the file.
    if (size === 0) return false;
    const length = size === 1 ? Number(view.getBigUint64(at + 8)) : size;
    if (length < 8) throw new RangeError(`A box of ${length} bytes`);
    at += length;
  }
  return at > view.byteLength;
}
