import { get as getPlain, type IncomingMessage } from "node:http";
import { get as getSecure } from "node:https";

/** So much may wait to be taken in before no more is read. */
const MOST_WAITING_BYTES = 8 * 1024 * 1024;

/**
 * The answer of another machine, piece by piece, to the last byte that came: when that machine dies, what it had sent before is
 * not thrown away, as streams of the platform would.
 * @returns the status where it is none of success
 * @throws when it cannot be reached
 */
export async function piecesOf(
  url: URL,
  signal: AbortSignal,
): Promise<{ readonly pieces: AsyncGenerator<Uint8Array> } | { readonly status: number }> {
  const response = await new Promise<IncomingMessage>((resolve, reject) => {
    const request = (url.protocol === "https:" ? getSecure : getPlain)(url, { signal }, resolve);
    // Told later as well, when the connection breaks.
    request.on("error", reject);
  });
  const status = response.statusCode ?? 0;
  if (status === 200) return { pieces: inOrder(response) };
  response.on("error", () => {});
  response.resume();
  return { status };
}

async function* inOrder(response: IncomingMessage): AsyncGenerator<Uint8Array> {
  const waiting: Buffer[] = [];
  let bytes = 0;
  let isOver = false;
  let wake = () => {};
  response.on("data", (piece: Buffer) => {
    waiting.push(piece);
    bytes += piece.length;
    if (bytes > MOST_WAITING_BYTES) response.pause();
    wake();
  });
  response.on("error", () => {});
  response.on("close", () => {
    isOver = true;
    wake();
  });
  try {
    for (;;) {
      const piece = waiting.shift();
      if (piece) {
        bytes -= piece.length;
        if (response.isPaused() && bytes < MOST_WAITING_BYTES / 2) response.resume();
        yield piece;
      } else if (isOver) return;
      else
        await new Promise<void>((done) => {
          wake = done;
        });
    }
  } finally {
    response.destroy();
  }
}
