import { createHash } from "node:crypto";
import { once } from "node:events";
import { createReadStream, createWriteStream, statSync } from "node:fs";
import { open, rename, rm } from "node:fs/promises";
import { dirname, join } from "node:path";
import { Transform } from "node:stream";
import { pipeline } from "node:stream/promises";
import yazl from "yazl";
import { z } from "zod";
import { type CarriedShow, fileSchemaOf, filesOf } from "../../core/carry/carriedShow.ts";
import {
  ABOUT_PLACE,
  filePlace,
  type Held,
  PART_FILES,
  partPlace,
  SHOW_FILE_VERSION,
  type ShowFile,
} from "../../core/carry/showFile.ts";
import { syncFolder } from "../store/syncFolder.ts";

export interface ShowToPack {
  readonly show: CarriedShow;
  readonly holds: Held;
  readonly program: string;
  readonly atMs: number;
  readonly mediaFolder: string;
  readonly feedFiles: ReadonlyMap<string, Buffer>;
  /** Where the archive will lie; under another name until it is whole. */
  readonly target: string;
  /** Share of it that is written, 0 to 1. */
  readonly onProgress: (share: number) => void;
}

/** What came of it: files that are missing from the library stay behind. */
export interface Packed {
  readonly bytes: number;
  readonly missing: readonly string[];
}

const ENDINGS: Readonly<Record<string, string>> = {
  "image/png": ".png",
  "image/jpeg": ".jpg",
  "image/webp": ".webp",
  "image/gif": ".gif",
  "image/avif": ".avif",
  "video/webm": ".webm",
  "video/mp4": ".mp4",
  "audio/mpeg": ".mp3",
  "audio/wav": ".wav",
  "audio/ogg": ".ogg",
  "audio/flac": ".flac",
  "audio/mp4": ".m4a",
  "audio/webm": ".weba",
};

/**
 * Writes a show as one archive: its parts as JSON, its files beside them. Files are read and written in pieces: however large they
 * are, little of them is in memory.
 */
export async function packShow(job: ShowToPack): Promise<Packed> {
  const { show, mediaFolder, feedFiles, target, onProgress } = job;
  const part = `${target}.part`;
  const zip = new yazl.ZipFile();
  const files: ShowFile["files"] = [];
  const writing = Promise.race([
    pipeline(zip.outputStream, createWriteStream(part, { mode: 0o600 })),
    // A file that is shorter than it was, or gone.
    once(zip, "error").then(([error]) => Promise.reject(error)),
  ]);
  // A failure is thrown below; until then nobody else hears of it.
  writing.catch(() => {});
  try {
    for (const name of PART_FILES) {
      const bytes = Buffer.from(JSON.stringify(z.encode(fileSchemaOf(name), show[name])));
      add(partPlace(name), bytes.length, sumOf(bytes));
      zip.addBuffer(bytes, partPlace(name));
    }
    const endings = endingsOf(show);
    const missing: string[] = [];
    const wanted = filesOf(show).flatMap((sum) => {
      const held = feedFiles.get(sum);
      const path = join(mediaFolder, sum);
      const bytes = held?.length ?? sizeOf(path);
      if (bytes === undefined) {
        missing.push(sum);
        return [];
      }
      return [{ sum, held, path, bytes }];
    });
    const total = Math.max(
      1,
      wanted.reduce((all, { bytes }) => all + bytes, 0),
    );
    let done = 0;
    const counted = () =>
      new Transform({
        transform(piece: Buffer, _encoding, next) {
          done += piece.length;
          onProgress(done / total);
          next(null, piece);
        },
      });
    for (const { sum, held, path, bytes } of wanted) {
      const place = filePlace(sum, endings.get(sum) ?? "");
      add(place, bytes, sum);
      // Pictures, clips and fonts hardly get smaller.
      if (held) zip.addBuffer(held, place, { compress: true });
      // One after the other: files that wait are not open.
      else
        zip.addReadStreamLazy(place, { compress: false, size: bytes }, (give) => {
          const stream = createReadStream(path);
          give(null, stream.once("error", (error) => zip.emit("error", error)).pipe(counted()));
        });
    }
    const about: ShowFile = {
      ...{ format: "vesko show", version: SHOW_FILE_VERSION, program: job.program },
      ...{ name: show.house[0]?.name ?? "Show", holds: job.holds, madeAtMs: Math.round(job.atMs), files },
    };
    zip.addBuffer(Buffer.from(JSON.stringify(about, null, 1)), ABOUT_PLACE);
    zip.end();
    await writing;
    const handle = await open(part, "r+");
    await handle.sync().finally(() => handle.close());
    await rename(part, target);
    syncFolder(dirname(target));
    return { bytes: statSync(target).size, missing };
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }

  function add(place: string, bytes: number, sum: string): void {
    files.push({ place, bytes, sum });
  }
}

export const sumOf = (bytes: Uint8Array): string => createHash("sha256").update(bytes).digest("hex");

const sizeOf = (path: string): number | undefined => statSync(path, { throwIfNoEntry: false })?.size;

function endingsOf(show: CarriedShow): ReadonlyMap<string, string> {
  const endings = new Map<string, string>();
  for (const { doc } of show.documents) {
    if (doc.kind !== "media") continue;
    endings.set(doc.file, ENDINGS[doc.mime] ?? "");
    if (doc.poster !== null) endings.set(doc.poster, ".png");
  }
  for (const { file } of show.font) endings.set(file, ".ttf");
  return endings;
}
