import type { IncomingMessage } from "node:http";
import { MOST_PACK_BYTES } from "../../core/design/designPack.ts";
import { t } from "../../core/language/t.ts";
import { LARGEST_FEED_BYTES } from "../files/tables/readTable.ts";

const KB = 1024;
const MB = 1024 * KB;

/** The most bytes of each kind of body. Counted as they come, whatever the request says of its length. */
export const BODY_LIMITS = {
  /** What pages send to the actions: the longest song, twice. */
  action: 1 * MB,
  /** A template or house style, with its pictures, clips and fonts. */
  design: MOST_PACK_BYTES,
  passcode: 2 * KB,
  /** A picture or clip, or a font, with the still of a clip before it. */
  media: 300 * MB,
  /** A file with what is known of one clip. */
  clipDetails: 1 * MB,
  feed: LARGEST_FEED_BYTES,
  /** A piece of a show file. */
  showFilePiece: 16 * MB,
  scripture: 64 * MB,
  songs: 64 * MB,
} as const;
export type BodyKind = keyof typeof BODY_LIMITS;

/** A body that is larger than it may be. The connection is of no more use: the rest of it is still coming. */
export class BodyTooLarge extends Error {
  constructor(kind: BodyKind) {
    const limit = BODY_LIMITS[kind];
    super(
      t`That is more than ${limit >= MB ? t`${limit / MB} MB` : t`${limit / KB} KB`}, the most that is taken at once. Nothing was saved; send less.`,
    );
  }
}

/** The other side went away, or did not send all of what it had begun. */
export class BodyBrokenOff extends Error {}

/** A body piece by piece. @throws BodyTooLarge, BodyBrokenOff */
export async function* bodyParts(request: IncomingMessage, kind: BodyKind): AsyncGenerator<Buffer> {
  const limitBytes = BODY_LIMITS[kind];
  if (Number(request.headers["content-length"] ?? 0) > limitBytes) throw new BodyTooLarge(kind);
  let bytes = 0;
  try {
    for await (const part of request) {
      bytes += (part as Buffer).length;
      if (bytes > limitBytes) throw new BodyTooLarge(kind);
      yield part as Buffer;
    }
  } catch (error) {
    if (error instanceof BodyTooLarge) throw error;
    throw new BodyBrokenOff(t`The other side went away before all of it had come.`, { cause: error });
  }
  if (!request.complete) throw new BodyBrokenOff(t`The other side went away before all of it had come.`);
}

/** All of a body in memory. @throws BodyTooLarge, BodyBrokenOff */
export async function readBody(request: IncomingMessage, kind: BodyKind): Promise<Buffer> {
  const parts: Buffer[] = [];
  for await (const part of bodyParts(request, kind)) parts.push(part);
  return Buffer.concat(parts);
}
