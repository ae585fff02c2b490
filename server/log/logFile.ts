import { basename, dirname } from "node:path";
import { createStream } from "rotating-file-stream";

/** The log beside a show: the newest file, and so many older ones, each no larger than this. */
const LARGEST = "2M";
const OLDER = 4;

/**
 * Keeps lines in a file that begins anew when it is large; the ones before are FILE.1 and so on, the newest first. A disk that takes
 * no more is no reason to stop anything: what cannot be kept is on the terminal.
 * @returns what writes a line
 */
export function openLogFile(file: string): {
  readonly write: (line: string) => void;
  readonly close: () => Promise<void>;
} {
  const stream = createStream(nameOf(basename(file)), {
    path: dirname(file),
    size: LARGEST,
    maxFiles: OLDER,
    rotate: OLDER,
    mode: 0o600,
  });
  let isBroken = false;
  stream.on("error", () => {
    isBroken = true;
  });
  stream.on("warning", () => {});
  return {
    write: (line) => {
      if (!isBroken) stream.write(`${line}\n`);
    },
    close: () => new Promise((done) => stream.end(() => done())),
  };
}

const nameOf = (name: string) => (index: number | Date | null) =>
  typeof index === "number" ? `${name}.${index}` : name;
