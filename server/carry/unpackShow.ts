import { createHash } from "node:crypto";
import { createWriteStream, mkdirSync, statfsSync } from "node:fs";
import { rename } from "node:fs/promises";
import { join } from "node:path";
import { type Readable, Transform } from "node:stream";
import { pipeline } from "node:stream/promises";
import { promisify } from "node:util";
import yauzl from "yauzl";
import {
  ABOUT_PLACE,
  PART_FILES,
  partPlace,
  readShowFile,
  type ShowFile,
  sumOfPlace,
} from "../../core/carry/showFile.ts";
import { t } from "../../core/language/t.ts";
import { FileProblem } from "../files/scriptureFile.ts";

/** What text of a show can have; beyond it an archive is a bomb or a mistake. */
const LARGEST_TEXT_BYTES = 256 * 1024 * 1024;
/** A clip is 300 MB at most when it is brought in; its still and what was brought for feeds are less. */
const LARGEST_FILE_BYTES = 300 * 1024 * 1024;
const LARGEST_TOTAL_BYTES = 16 * 1024 * 1024 * 1024;
const MOST_ENTRIES = 10_000;
/** Room that stays on the disk beside what is unpacked. */
const ROOM_LEFT_BYTES = 200 * 1024 * 1024;

/** An archive that was unpacked: its parts as text, its files by their sums in a folder. */
export interface Unpacked {
  readonly about: ShowFile;
  readonly parts: ReadonlyMap<string, string>;
  /** Sums of the files that lie in the folder. */
  readonly files: ReadonlySet<string>;
}

const BROKEN = t`The show file is not whole: part of it is missing or was changed on the way. Nothing was opened, and all that you have is as it was. Copy it again from where it was saved.`;

/**
 * Unpacks a show file into a folder. Every size is looked at before anything is unpacked, and every file is what its sum says.
 * @throws FileProblem with a sentence
 */
export async function unpackShow(
  path: string,
  folder: string,
  onProgress: (share: number) => void = () => {},
): Promise<Unpacked> {
  const zip = await openZip(path);
  try {
    const entries = await readEntries(zip);
    const about = await readAbout(zip, entries);
    const listed = new Map(about.files.map((file) => [file.place, file]));
    const total = about.files.reduce((sum, { bytes }) => sum + bytes, 0);
    measure(entries, listed, total, folder);
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const parts = new Map<string, string>();
    const files = new Set<string>();
    let done = 0;
    const onBytes = (bytes: number) => {
      done += bytes;
      onProgress(done / Math.max(1, total));
    };
    for (const { place, bytes, sum } of about.files) {
      const entry = entries.get(place);
      if (!entry || entry.uncompressedSize !== bytes) throw new FileProblem(BROKEN);
      const fileSum = sumOfPlace(place);
      if (fileSum !== undefined) {
        if (fileSum !== sum) throw new FileProblem(BROKEN);
        const target = join(folder, sum);
        const found = await unpackTo(zip, entry, `${target}.part`, onBytes);
        if (found !== sum) throw new FileProblem(BROKEN);
        await rename(`${target}.part`, target);
        files.add(sum);
      } else if (PART_FILES.some((name) => partPlace(name) === place)) {
        const text = await readText(zip, entry, onBytes);
        if (createHash("sha256").update(text).digest("hex") !== sum) throw new FileProblem(BROKEN);
        parts.set(place, text.toString("utf8"));
      }
    }
    return { about, parts, files };
  } catch (error) {
    throw asProblem(error);
  } finally {
    zip.close();
  }
}

const openFile = promisify<string, yauzl.Options, yauzl.ZipFile>(yauzl.open);

async function openZip(path: string): Promise<yauzl.ZipFile> {
  try {
    return await openFile(path, { lazyEntries: true, autoClose: false, strictFileNames: true });
  } catch (error) {
    throw asProblem(error);
  }
}

/** What the library says of an archive that is no good, and of what it refuses, such as names that climb. */
function asProblem(error: unknown): unknown {
  if (error instanceof FileProblem) return error;
  const { code, message = "" } = error as NodeJS.ErrnoException;
  if (code?.startsWith("Z_") || code === undefined) {
    if (/relative path|absolute path|invalid characters/.test(message))
      return new FileProblem(
        t`The archive has a file whose name leads out of its folder, so it was not made by this program. Nothing was opened.`,
      );
    if (/end of central directory|not a zip|signature/i.test(message))
      return new FileProblem(
        t`That is no show file, or not a whole one: it cannot be read as a ZIP archive. Nothing was opened; copy it again from where it was saved.`,
      );
    if (error instanceof Error && !(error instanceof TypeError)) return new FileProblem(BROKEN);
  }
  return error;
}

async function readEntries(zip: yauzl.ZipFile): Promise<ReadonlyMap<string, yauzl.Entry>> {
  if (zip.entryCount > MOST_ENTRIES) throw new FileProblem(tooMuch(t`more than ${MOST_ENTRIES} files`));
  const entries = new Map<string, yauzl.Entry>();
  await new Promise<void>((resolve, reject) => {
    zip.on("entry", (entry: yauzl.Entry) => {
      if (entries.has(entry.fileName)) return void reject(new FileProblem(BROKEN));
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.once("end", resolve);
    zip.once("error", reject);
    zip.readEntry();
  });
  return entries;
}

async function readAbout(zip: yauzl.ZipFile, entries: ReadonlyMap<string, yauzl.Entry>): Promise<ShowFile> {
  const entry = entries.get(ABOUT_PLACE);
  if (entry && entry.uncompressedSize > 8 * 1024 * 1024)
    throw new FileProblem(tooMuch(t`a list of contents`));
  const about = readShowFile(entry ? (await readText(zip, entry, () => {})).toString("utf8") : "");
  if ("problem" in about) throw new FileProblem(about.problem);
  return about;
}

const tooMuch = (what: string): string =>
  t`The archive would unpack to ${what}, which is more than is safe. Nothing was opened; all that you have is as it was.`;

/** Refuses what is too much before anything of it is unpacked. */
function measure(
  entries: ReadonlyMap<string, yauzl.Entry>,
  listed: ReadonlyMap<string, { readonly bytes: number }>,
  total: number,
  folder: string,
): void {
  for (const [place, { uncompressedSize }] of entries) {
    const limit = sumOfPlace(place) === undefined ? LARGEST_TEXT_BYTES : LARGEST_FILE_BYTES;
    if (listed.has(place) && uncompressedSize > limit)
      throw new FileProblem(tooMuch(t`a file of ${Math.round(uncompressedSize / 1024 / 1024)} MB`));
  }
  const texts = [...listed].reduce((sum, [place, { bytes }]) => sum + (sumOfPlace(place) ? 0 : bytes), 0);
  if (texts > LARGEST_TEXT_BYTES || total > LARGEST_TOTAL_BYTES)
    throw new FileProblem(tooMuch(t`${Math.round(total / 1024 / 1024)} MB`));
  const { bavail, bsize } = statfsSync(join(folder, ".."));
  if (bavail * bsize < total + ROOM_LEFT_BYTES)
    throw new FileProblem(
      t`The show file needs ${Math.ceil(total / 1024 / 1024)} MB of room, and the disk has ${Math.floor((bavail * bsize) / 1024 / 1024)} MB. Nothing was opened; make room first.`,
    );
}

function streamOf(zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<Readable> {
  if (entry.isEncrypted()) throw new FileProblem(BROKEN);
  return new Promise((resolve, reject) =>
    zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))),
  );
}

async function readText(
  zip: yauzl.ZipFile,
  entry: yauzl.Entry,
  onBytes: (bytes: number) => void,
): Promise<Buffer> {
  const pieces: Buffer[] = [];
  for await (const piece of await streamOf(zip, entry)) {
    pieces.push(piece as Buffer);
    onBytes((piece as Buffer).length);
  }
  return Buffer.concat(pieces);
}

/** @returns the sum of what was written */
async function unpackTo(
  zip: yauzl.ZipFile,
  entry: yauzl.Entry,
  target: string,
  onBytes: (bytes: number) => void,
): Promise<string> {
  const sum = createHash("sha256");
  const counted = new Transform({
    transform(piece: Buffer, _encoding, done) {
      sum.update(piece);
      onBytes(piece.length);
      done(null, piece);
    },
  });
  await pipeline(await streamOf(zip, entry), counted, createWriteStream(target, { mode: 0o600 }));
  return sum.digest("hex");
}
