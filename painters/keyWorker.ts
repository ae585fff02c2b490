import { type ChromaKey, keyPixels, prepareKey } from "../core/picture/chromaKey.ts";

export interface KeyRequest {
  readonly frame: ImageBitmap;
  readonly key: ChromaKey;
}

export interface KeyedFrame {
  readonly bitmap: ImageBitmap;
}

let canvas: OffscreenCanvas | undefined;

self.onmessage = ({ data: { frame, key } }: MessageEvent<KeyRequest>) => {
  if (canvas?.width !== frame.width || canvas.height !== frame.height)
    canvas = new OffscreenCanvas(frame.width, frame.height);
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context) throw new Error("No 2D context in the key worker");
  context.clearRect(0, 0, frame.width, frame.height);
  context.drawImage(frame, 0, 0);
  frame.close();
  const pixels = context.getImageData(0, 0, canvas.width, canvas.height);
  keyPixels(prepareKey(key), pixels.data);
  context.putImageData(pixels, 0, 0);
  const keyed: KeyedFrame = { bitmap: canvas.transferToImageBitmap() };
  postMessage(keyed, { transfer: [keyed.bitmap] });
};
