/** What the container of a clip says of it. */
export type ProbedVideo =
  | {
      readonly mime: "video/webm" | "video/mp4";
      readonly widthPx: number;
      readonly heightPx: number;
      readonly hasAlpha: boolean;
      readonly hasSound: boolean;
      /** Null where the file does not say: a recording that was never finished. */
      readonly durationMs: number | null;
    }
  | { readonly problem: string };

/** Larger ones are played by no browser in time. */
const LONGEST_SIDE_PX = 8_192;
const MOST_PIXELS = 36_000_000;
const LONGEST_MS = 24 * 3_600_000;

const CUT_OFF: ProbedVideo = {
  problem: "The clip is cut off: its end is missing. Nothing was added; bring in a whole one.",
};
const NO_PICTURES: ProbedVideo = {
  problem: "The clip has a head and no pictures behind it. Nothing was added; bring in a whole one.",
};

const NOT_A_CLIP = "The file is not a clip that browsers play (WebM or MP4). Nothing was added.";

/** Reads the heads of WebM (EBML, RFC 8794) and MP4 (ISO 14496-12) files, and whether all of the pictures are there. */
export function probeVideo(bytes: Uint8Array): ProbedVideo {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  try {
    if (bytes.length > 12 && view.getUint32(0) === 0x1a45dfa3) return withinLimits(probeWebm(view));
    if (bytes.length > 12 && view.getUint32(4) === 0x66747970) return withinLimits(probeMp4(view));
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { problem: "The clip is cut off or broken: its head cannot be read. Nothing was added." };
  }
  return { problem: NOT_A_CLIP };
}

function withinLimits(video: ProbedVideo): ProbedVideo {
  if ("problem" in video) return video;
  const { widthPx, heightPx, durationMs } = video;
  if (Math.max(widthPx, heightPx) > LONGEST_SIDE_PX || widthPx * heightPx > MOST_PIXELS)
    return {
      problem: `The clip has ${widthPx}×${heightPx} pixels; at most ${LONGEST_SIDE_PX} on a side and 36 million in all are taken in. Nothing was added; make a smaller one.`,
    };
  if (durationMs !== null && durationMs > LONGEST_MS)
    return { problem: "The clip says that it is longer than a day. Nothing was added." };
  return video;
}

/** IDs of the elements that are entered, and of those that are read. */
const EBML = {
  segment: 0x18538067,
  info: 0x1549a966,
  tracks: 0x1654ae6b,
  track: 0xae,
  video: 0xe0,
  cluster: 0x1f43b675,
  block: 0xa3,
  blockGroup: 0xa0,
  scale: 0x2ad7b1,
  duration: 0x4489,
  type: 0x83,
  width: 0xb0,
  height: 0xba,
  alphaMode: 0x53c0,
} as const;
const ENTERED: ReadonlySet<number> = new Set([
  EBML.segment,
  EBML.info,
  EBML.tracks,
  EBML.track,
  EBML.video,
  EBML.cluster,
]);

function probeWebm(view: DataView): ProbedVideo {
  let widthPx = 0;
  let heightPx = 0;
  let hasAlpha = false;
  let hasSound = false;
  let scaleNs = 1_000_000;
  let duration: number | null = null;
  let blocks = 0;
  let isCutOff = false;
  const walk = (from: number, to: number): void => {
    let at = from;
    while (at < to) {
      // What is left is less than an element: the file ends within one.
      if (to - at < 2) {
        isCutOff = true;
        return;
      }
      const id = readVint(view, at, true);
      const size = readVint(view, at + id.length, false);
      const begin = at + id.length + size.length;
      const end = size.isUnknown ? to : Math.min(to, begin + size.value);
      if (!size.isUnknown && begin + size.value > view.byteLength) isCutOff = true;
      if (ENTERED.has(id.value)) walk(begin, end);
      else if (id.value === EBML.block || id.value === EBML.blockGroup) blocks++;
      else if (size.value <= 8) {
        switch (id.value) {
          case EBML.scale:
            scaleNs = readUint(view, begin, size.value);
            break;
          case EBML.duration:
            duration = size.value === 4 ? view.getFloat32(begin) : view.getFloat64(begin);
            break;
          case EBML.type:
            hasSound ||= readUint(view, begin, size.value) === 2;
            break;
          case EBML.width:
            widthPx = readUint(view, begin, size.value);
            break;
          case EBML.height:
            heightPx = readUint(view, begin, size.value);
            break;
          case EBML.alphaMode:
            hasAlpha ||= readUint(view, begin, size.value) === 1;
        }
      }
      at = end;
    }
  };
  walk(0, view.byteLength);
  if (widthPx < 1 || heightPx < 1) return { problem: "The clip has no picture. Nothing was added." };
  if (isCutOff) return CUT_OFF;
  if (blocks === 0) return NO_PICTURES;
  const durationMs = duration === null || !(duration > 0) ? null : (duration * scaleNs) / 1_000_000;
  return { mime: "video/webm", widthPx, heightPx, hasAlpha, hasSound, durationMs };
}

/** A number of variable length; an ID keeps its marking bit. */
function readVint(
  view: DataView,
  at: number,
  isId: boolean,
): { readonly value: number; readonly length: number; readonly isUnknown: boolean } {
  const first = view.getUint8(at);
  const length = Math.clz32(first) - 23;
  if (length > 8) throw new RangeError(`No number begins with ${first}`);
  let value = isId ? first : first & (0xff >> length);
  let isUnknown = !isId && value === 0xff >> length;
  for (let i = 1; i < length; i++) {
    const byte = view.getUint8(at + i);
    value = value * 256 + byte;
    isUnknown &&= byte === 0xff;
  }
  return { value, length, isUnknown };
}

function readUint(view: DataView, at: number, length: number): number {
  let value = 0;
  for (let i = 0; i < length; i++) value = value * 256 + view.getUint8(at + i);
  return value;
}

function probeMp4(view: DataView): ProbedVideo {
  let widthPx = 0;
  let heightPx = 0;
  let hasSound = false;
  let durationMs: number | null = null;
  let mediaBytes = 0;
  let farthestChunk = 0;
  let isCutOff = false;
  const walk = (from: number, to: number): void => {
    let at = from;
    while (at + 8 <= to) {
      let size = view.getUint32(at);
      let head = 8;
      if (size === 1) {
        size = Number(view.getBigUint64(at + 8));
        head = 16;
      } else if (size === 0) size = to - at;
      if (size < head) throw new RangeError(`A box of ${size} bytes`);
      const kind = String.fromCharCode(...[4, 5, 6, 7].map((i) => view.getUint8(at + i)));
      const begin = at + head;
      if (at + size > view.byteLength) isCutOff = true;
      const isLong = () => view.getUint8(begin) === 1;
      switch (kind) {
        case "mdat":
          mediaBytes += Math.max(0, Math.min(size, to - at) - head);
          break;
        case "stco":
        case "co64": {
          const count = view.getUint32(begin + 4);
          if (count === 0) break;
          const last = begin + 8 + (count - 1) * (kind === "stco" ? 4 : 8);
          const chunk = kind === "stco" ? view.getUint32(last) : Number(view.getBigUint64(last));
          farthestChunk = Math.max(farthestChunk, chunk);
          break;
        }
        case "moov":
        case "trak":
        case "mdia":
        case "minf":
        case "stbl":
          walk(begin, Math.min(to, at + size));
          break;
        case "mvhd": {
          const scale = view.getUint32(begin + (isLong() ? 20 : 12));
          const length = isLong() ? Number(view.getBigUint64(begin + 24)) : view.getUint32(begin + 16);
          if (scale > 0 && length > 0) durationMs = (length / scale) * 1_000;
          break;
        }
        case "tkhd": {
          const at16 = begin + (isLong() ? 88 : 76);
          // 16.16 fixed point; sound has no size.
          widthPx = Math.max(widthPx, Math.round(view.getUint32(at16) / 65_536));
          heightPx = Math.max(heightPx, Math.round(view.getUint32(at16 + 4) / 65_536));
          break;
        }
        case "hdlr":
          hasSound ||= view.getUint32(begin + 8) === 0x736f756e;
      }
      at += size;
    }
  };
  walk(0, view.byteLength);
  if (widthPx < 1 || heightPx < 1) return { problem: "The clip has no picture. Nothing was added." };
  if (isCutOff || farthestChunk >= view.byteLength) return CUT_OFF;
  if (mediaBytes === 0) return NO_PICTURES;
  // MP4 as browsers play it carries no alpha.
  return { mime: "video/mp4", widthPx, heightPx, hasAlpha: false, hasSound, durationMs };
}
