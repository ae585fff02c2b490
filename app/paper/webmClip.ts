import { t } from "../../core/language/t.ts";
import type { FrameSink } from "./lifeFiles.ts";

/** Bits in a second for each pixel and frame: flat colours and letters stay clean. */
const BITS_PER_PIXEL = 0.25;
const KEY_FRAME_EVERY = 50;
/** Frames that may wait for the encoder. */
const MOST_WAITING = 4;
/** VP9, profile 0, level 5.1, 8 bits. */
const CODEC = "vp09.00.51.08";

interface ClipSize {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly perSecond: number;
}

const configOf = ({ widthPx, heightPx, perSecond }: ClipSize): VideoEncoderConfig => ({
  codec: CODEC,
  ...{ width: widthPx, height: heightPx, framerate: perSecond },
  bitrate: Math.round(widthPx * heightPx * perSecond * BITS_PER_PIXEL),
  latencyMode: "quality",
});

/** Why this browser cannot make a clip; undefined when it can. */
export async function whyNoWebm(size: ClipSize): Promise<string | undefined> {
  if (typeof VideoEncoder === "undefined")
    return t`This browser makes clips only on the server’s own machine, or over TLS. The pictures of all frames can be saved everywhere.`;
  const { supported } = await VideoEncoder.isConfigSupported(configOf(size)).catch(() => ({
    supported: false,
  }));
  return supported
    ? undefined
    : t`This browser cannot make such a clip. Save the pictures of all frames instead.`;
}

/**
 * A clip of VP9 in WebM. Browsers encode no alpha, so colours and alpha are encoded beside one another, and the alpha's frames are put
 * beside the colours' in the file (WebM's BlockAdditions, with AlphaMode).
 */
export async function webmClip(size: ClipSize, hasAlpha: boolean): Promise<FrameSink> {
  const { BufferTarget, EncodedPacket, EncodedVideoPacketSource, Output, WebMOutputFormat } = await import(
    "mediabunny"
  );
  const { widthPx, heightPx, perSecond } = size;
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context) throw new Error(`No canvas of ${widthPx}×${heightPx}`);
  const target = new BufferTarget();
  const clip = new Output({ format: new WebMOutputFormat(), target });
  const source = new EncodedVideoPacketSource("vp9");
  clip.addVideoTrack(source, { frameRate: perSecond, canBeTransparent: hasAlpha });
  await clip.start();

  const colours = new Encoder(configOf(size));
  const alphas = hasAlpha ? new Encoder(configOf(size)) : undefined;
  let planes:
    | { readonly colour: Uint8Array<ArrayBuffer>; readonly alpha: Uint8Array<ArrayBuffer> }
    | undefined;
  /** Alphas of frames whose colours are being encoded, and colours whose alphas are. */
  const alphasToCome: VideoFrame[] = [];
  const withoutAlpha: Made[] = [];
  const write = async () => {
    for (const made of colours.made.splice(0)) {
      if (!alphas) {
        await source.add(EncodedPacket.fromEncodedChunk(made.chunk), made.meta);
        continue;
      }
      // An encoder makes key frames of its own: whoever seeks to one of the colours must find one of the alpha.
      await alphas.encode(alphasToCome.shift() as VideoFrame, made.chunk.type === "key");
      withoutAlpha.push(made);
    }
    for (const { chunk: alpha } of alphas?.made.splice(0) ?? []) {
      const { chunk, meta } = withoutAlpha.shift() as Made;
      await source.add(EncodedPacket.fromEncodedChunk(chunk, { alpha: bytesOf(alpha) }), meta);
    }
  };
  const close = () => {
    for (const frame of alphasToCome) frame.close();
    colours.close();
    alphas?.close();
  };
  return {
    add: async (still, number, isSame) => {
      if (!isSame || !planes) {
        const bitmap = await createImageBitmap(still);
        context.clearRect(0, 0, widthPx, heightPx);
        context.drawImage(bitmap, 0, 0);
        bitmap.close();
        planes = planesOf(context.getImageData(0, 0, widthPx, heightPx).data, widthPx, heightPx);
      }
      const timestamp = Math.round(((number - 1) * 1_000_000) / perSecond);
      const duration = Math.round(1_000_000 / perSecond);
      const facts = { codedWidth: widthPx, codedHeight: heightPx, timestamp, duration };
      if (alphas) alphasToCome.push(new VideoFrame(planes.alpha, { format: "I420", ...facts }));
      const frame = new VideoFrame(planes.colour, { format: "RGBX", ...facts });
      await colours.encode(frame, (number - 1) % KEY_FRAME_EVERY === 0);
      await write();
    },
    end: async () => {
      await colours.flush();
      await write();
      await alphas?.flush();
      await write();
      await clip.finalize();
      close();
      return new Blob([target.buffer as ArrayBuffer], { type: "video/webm" });
    },
    drop: () => {
      close();
      void clip.cancel();
    },
  };
}

interface Made {
  readonly chunk: EncodedVideoChunk;
  readonly meta: EncodedVideoChunkMetadata | undefined;
}

/** The browser's encoder, with what it has made, in order. */
class Encoder {
  readonly made: Made[] = [];
  readonly #encoder: VideoEncoder;
  #failed: DOMException | undefined;

  constructor(config: VideoEncoderConfig) {
    this.#encoder = new VideoEncoder({
      output: (chunk, meta) => this.made.push({ chunk, meta }),
      error: (error) => {
        this.#failed = error;
      },
    });
    this.#encoder.configure(config);
  }

  /** @throws what the browser could not encode */
  async encode(frame: VideoFrame, keyFrame: boolean): Promise<void> {
    while (this.#encoder.encodeQueueSize > MOST_WAITING && !this.#failed)
      await new Promise((done) => this.#encoder.addEventListener("dequeue", done, { once: true }));
    if (!this.#failed) this.#encoder.encode(frame, { keyFrame });
    frame.close();
    if (this.#failed) throw this.#failed;
  }

  async flush(): Promise<void> {
    await this.#encoder.flush();
  }

  close(): void {
    if (this.#encoder.state !== "closed") this.#encoder.close();
  }
}

function bytesOf(chunk: EncodedVideoChunk): Uint8Array {
  const bytes = new Uint8Array(chunk.byteLength);
  chunk.copyTo(bytes);
  return bytes;
}

/**
 * Colours without their alpha, and alpha as the light of a grey picture (I420: a byte for each pixel, then two planes of a quarter each).
 * @param rgba 4 bytes a pixel, colours not multiplied by their alpha
 */
function planesOf(rgba: Uint8ClampedArray, widthPx: number, heightPx: number) {
  const colour = new Uint8Array(rgba);
  const pixels = widthPx * heightPx;
  const alpha = new Uint8Array(pixels + 2 * Math.ceil(widthPx / 2) * Math.ceil(heightPx / 2)).fill(128);
  for (let pixel = 0; pixel < pixels; pixel++) {
    alpha[pixel] = rgba[pixel * 4 + 3] as number;
    colour[pixel * 4 + 3] = 255;
  }
  return { colour, alpha };
}
