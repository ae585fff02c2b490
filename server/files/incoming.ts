import { createHash, randomUUID } from "node:crypto";
import { once } from "node:events";
import { createWriteStream, mkdirSync, readdirSync, rmSync, type WriteStream } from "node:fs";
import { open, rm, writeFile } from "node:fs/promises";
import { join } from "node:path";

/** A file that came in whole and lies on the disk, under no name yet. */
export interface IncomingFile {
  readonly path: string;
  /** SHA-256 of its bytes, in hex. */
  readonly hash: string;
  readonly bytes: number;
  /** What stood before it in the body. */
  readonly head: Uint8Array;
}

/** Where files lie until they are looked at: what is left of an earlier run goes at start. */
export class Incoming {
  readonly #folder: string;

  constructor(folder: string) {
    this.#folder = folder;
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    for (const name of readdirSync(folder)) rmSync(join(folder, name), { force: true });
  }

  /**
   * Writes a file as it comes, with its hash on the way. It is on the disk when this returns, and gone when it fails.
   * @param headBytes so many bytes before the file are kept apart
   */
  async receive(parts: AsyncIterable<Buffer>, headBytes = 0): Promise<IncomingFile> {
    const path = join(this.#folder, randomUUID());
    const file = createWriteStream(path, { flags: "wx", mode: 0o600 });
    const sum = createHash("sha256");
    const head: Buffer[] = [];
    let headLeft = headBytes;
    let bytes = 0;
    try {
      for await (const part of parts) {
        const ofHead = part.subarray(0, headLeft);
        if (ofHead.length > 0) head.push(ofHead);
        headLeft -= ofHead.length;
        const rest = part.subarray(ofHead.length);
        if (rest.length === 0) continue;
        sum.update(rest);
        bytes += rest.length;
        await write(file, rest);
      }
      await end(file);
      // On the disk before it gets a name: a power cut must not leave half a file under one.
      const handle = await open(path, "r+");
      await handle.sync().finally(() => handle.close());
      return { path, hash: sum.digest("hex"), bytes, head: Buffer.concat(head) };
    } catch (error) {
      file.on("error", () => {});
      file.destroy();
      // One that is not open yet would be made after it was removed.
      if (!file.closed) await once(file, "close");
      await rm(path, { force: true });
      throw error;
    }
  }

  /** A file whose bytes are here already. */
  async hold(bytes: Uint8Array): Promise<IncomingFile> {
    const path = join(this.#folder, randomUUID());
    try {
      await writeFile(path, bytes, { flag: "wx", mode: 0o600, flush: true });
    } catch (error) {
      await rm(path, { force: true });
      throw error;
    }
    const hash = createHash("sha256").update(bytes).digest("hex");
    return { path, hash, bytes: bytes.length, head: new Uint8Array() };
  }

  /** Takes a file away, unless it was given a place. */
  async discard({ path }: IncomingFile): Promise<void> {
    await rm(path, { force: true });
  }
}

const write = (file: WriteStream, part: Buffer): Promise<void> =>
  new Promise((resolve, reject) => file.write(part, (error) => (error ? reject(error) : resolve())));

const end = (file: WriteStream): Promise<void> =>
  new Promise((resolve, reject) => {
    file.once("error", reject);
    file.end(resolve);
  });
