import { createCanvas, loadImage } from "@napi-rs/canvas";
import { imageSize } from "image-size";
import { t } from "../../core/language/t.ts";
import { isAnimated } from "./isAnimated.ts";
import { isCutOff } from "./isCutOff.ts";

/** Larger pictures are refused before they are decoded: a small file can hold a picture that fills the memory. */
const LONGEST_SIDE_PX = 12_000;
const MOST_PIXELS = 60_000_000;
const MIMES = {
  png: "image/png",
  jpg: "image/jpeg",
  webp: "image/webp",
  gif: "image/gif",
  avif: "image/avif",
} as const;
type PictureType = keyof typeof MIMES;

export type ProbedPicture =
  | {
      readonly mime: (typeof MIMES)[PictureType];
      readonly widthPx: number;
      readonly heightPx: number;
      readonly hasAlpha: boolean;
      readonly isAnimated?: true;
    }
  | { readonly problem: string };

/** Looks at a picture file: what it is, how large, whether any of it is clear. */
export async function probePicture(bytes: Uint8Array): Promise<ProbedPicture> {
  let size: ReturnType<typeof imageSize>;
  try {
    size = imageSize(bytes);
  } catch {
    return {
      problem: t`The file is not a picture that can be read (PNG, JPEG, WebP, AVIF or GIF). Nothing was added.`,
    };
  }
  const type = size.type ?? "";
  if (!isTaken(type))
    return {
      problem: t`Pictures of the kind “${size.type}” are not taken in. Save it as PNG, JPEG or WebP; nothing was added.`,
    };
  if (Math.max(size.width, size.height) > LONGEST_SIDE_PX || size.width * size.height > MOST_PIXELS)
    return {
      problem: t`The picture has ${size.width}×${size.height} pixels; at most ${LONGEST_SIDE_PX} on a side and 60 million in all are taken in. Nothing was added; save a smaller one.`,
    };
  if (!isWhole(type, bytes))
    return {
      problem: t`The picture is broken: its end is missing. Nothing was added; bring in a whole one.`,
    };
  try {
    const image = await loadImage(Buffer.from(bytes));
    if (image.width < 1 || image.height < 1) throw new Error("it has no pixels");
    return {
      mime: MIMES[type],
      widthPx: image.width,
      heightPx: image.height,
      hasAlpha: hasClearPixels(image),
      ...(isAnimated(type, bytes) ? { isAnimated: true } : {}),
    };
  } catch (error) {
    return {
      problem: t`The picture is broken (${error instanceof Error ? error.message : t`it cannot be decoded`}). Nothing was added.`,
    };
  }
}

const isTaken = (type: string): type is PictureType => type in MIMES;

/** Decoders show what there is of a file that was cut off; here it must be all. */
function isWhole(type: PictureType, bytes: Uint8Array): boolean {
  const ends = (...tail: number[]) => tail.every((byte, i) => bytes[bytes.length - tail.length + i] === byte);
  switch (type) {
    case "png":
      // The IEND chunk: no data, its name, its check sum.
      return ends(0, 0, 0, 0, 0x49, 0x45, 0x4e, 0x44, 0xae, 0x42, 0x60, 0x82);
    case "avif":
      return !isCutOff(bytes, "mp4");
    case "webp":
      return new DataView(bytes.buffer, bytes.byteOffset).getUint32(4, true) + 8 <= bytes.length;
    default:
      // JPEG's end of image, GIF's trailer; cameras may write some bytes after them.
      return bytes
        .subarray(-2_048)
        .some(
          (byte, i, tail) =>
            byte === (type === "gif" ? 0x3b : 0xd9) && (type === "gif" || tail[i - 1] === 0xff),
        );
  }
}

/** Whether any pixel is not opaque, seen at a size at which looking is cheap. */
function hasClearPixels(image: Awaited<ReturnType<typeof loadImage>>): boolean {
  const by = Math.min(1, 512 / Math.max(image.width, image.height));
  const width = Math.max(1, Math.round(image.width * by));
  const height = Math.max(1, Math.round(image.height * by));
  const context = createCanvas(width, height).getContext("2d");
  context.drawImage(image, 0, 0, width, height);
  const { data } = context.getImageData(0, 0, width, height);
  for (let i = 3; i < data.length; i += 4) if ((data[i] as number) < 250) return true;
  return false;
}
