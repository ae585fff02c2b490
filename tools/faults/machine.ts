import { spawnSync } from "node:child_process";
import { closeSync, openSync, writeFileSync, writeSync } from "node:fs";
import { constants } from "node:os";
import { join, resolve } from "node:path";

/** What the disk and the clock of a process do; all of it nothing when left out. */
export interface Misbehaving {
  readonly syncDelayMs?: number;
  readonly writeError?: "ENOSPC" | "EROFS" | undefined;
  readonly syncError?: "EIO" | undefined;
  readonly clockAheadMs?: number;
}

/** The disk and the clock of a server, as it is told of them. */
export class Machine {
  readonly #control: string;
  readonly #env: Readonly<Record<string, string>>;
  #now: Misbehaving = {};

  private constructor(folder: string, shim: string) {
    this.#control = join(folder, "machine");
    this.#env = { LD_PRELOAD: shim, FAULTS: this.#control };
    writeFileSync(this.#control, new Uint8Array(32));
  }

  /** @returns undefined where there is no compiler */
  static build(folder: string): Machine | undefined {
    const shim = join(folder, "shim.so");
    const source = resolve(import.meta.dirname, "shim.c");
    const { status } = spawnSync("cc", ["-shared", "-fPIC", "-O1", "-o", shim, source, "-ldl"]);
    return status === 0 ? new Machine(folder, shim) : undefined;
  }

  /** Of a server whose files lie in a folder. */
  environment(folder: string): Readonly<Record<string, string>> {
    return { ...this.#env, FAULTS_IN: folder };
  }

  /** Changes some of what it does, at once. */
  misbehave(how: Misbehaving): void {
    this.#now = { ...this.#now, ...how };
    const { syncDelayMs = 0, writeError, syncError, clockAheadMs = 0 } = this.#now;
    const numbers = BigInt64Array.of(
      BigInt(Math.round(syncDelayMs)),
      BigInt(writeError ? constants.errno[writeError] : 0),
      BigInt(syncError ? constants.errno[syncError] : 0),
      BigInt(Math.round(clockAheadMs)),
    );
    const handle = openSync(this.#control, "r+");
    try {
      writeSync(handle, new Uint8Array(numbers.buffer), 0, 32, 0);
    } finally {
      closeSync(handle);
    }
  }

  get clockAheadMs(): number {
    return this.#now.clockAheadMs ?? 0;
  }

  /** The disk is well again; the clock stays where it was set. */
  mend(): void {
    this.misbehave({ syncDelayMs: 0, writeError: undefined, syncError: undefined });
  }
}
