import { createSocket, type Socket } from "node:dgram";
import { t } from "../../core/language/t.ts";
import { Throttle } from "../access/throttle.ts";
import { log } from "../log/log.ts";

export interface UdpDoorParts {
  /** What it is called in the log and to people. */
  readonly name: string;
  readonly port: number;
  readonly host: string;
  /** Who may send, besides this machine. */
  readonly allowed: readonly string[];
  readonly now: () => number;
  /** @returns why it was not understood; undefined: it was */
  readonly onPacket: (bytes: Uint8Array, from: string) => string | undefined;
  readonly onChange: () => void;
}

/** Packets of one sender at once, and in a second. */
const BURST = 400;
const PER_SECOND = 400;
const THIS_MACHINE = ["127.0.0.1", "::1", "::ffff:127.0.0.1"];

/** A port on which other devices send packets. What comes from strangers is not looked at, and never answered. */
export class UdpDoor {
  readonly #parts: UdpDoorParts;
  readonly #socket: Socket;
  readonly #throttle: Throttle;
  problem: string | null = null;
  port: number;
  heardAtMs: number | null = null;
  strangers = 0;
  notUnderstood = 0;
  tooMany = 0;
  lastProblem: string | null = null;

  private constructor(parts: UdpDoorParts) {
    this.#parts = parts;
    this.port = parts.port;
    this.#throttle = new Throttle(BURST, PER_SECOND, parts.now);
    this.#socket = createSocket({ type: parts.host.includes(":") ? "udp6" : "udp4" });
    this.#socket.on("message", (bytes, { address }) => this.#hear(bytes, address));
    this.#socket.on("error", (error) => {
      this.problem = t`${parts.name} could not listen on port ${parts.port}: ${whyNot(error)}.`;
      log.warn(`${this.problem} Everything else goes on.`);
      parts.onChange();
    });
  }

  /** Opens it; when it cannot be opened, it says so and everything else goes on. */
  static async open(parts: UdpDoorParts): Promise<UdpDoor> {
    const door = new UdpDoor(parts);
    await new Promise<void>((resolve) => {
      door.#socket.once("error", () => resolve());
      door.#socket.bind({ port: parts.port, address: parts.host, exclusive: true }, () => {
        door.port = door.#socket.address().port;
        resolve();
      });
    });
    return door;
  }

  close(): void {
    this.#socket.removeAllListeners();
    this.#socket.on("error", () => {});
    try {
      this.#socket.close();
    } catch {
      // It was never open.
    }
  }

  #hear(bytes: Buffer, address: string): void {
    const { allowed, now, onPacket, onChange } = this.#parts;
    const from = address.replace(/^::ffff:/, "");
    if (!THIS_MACHINE.includes(address) && !allowed.includes(from)) {
      this.strangers++;
      onChange();
      return;
    }
    if (!this.#throttle.take(from)) {
      this.tooMany++;
      onChange();
      return;
    }
    const isFirst = this.heardAtMs === null;
    this.heardAtMs = now();
    if (isFirst) onChange();
    const problem = onPacket(bytes, from);
    if (problem === undefined) return;
    this.notUnderstood++;
    this.lastProblem = problem;
    onChange();
  }
}

/** Why a port could not be opened, as the end of a sentence. */
function whyNot(error: Error): string {
  const { code } = error as NodeJS.ErrnoException;
  if (code === "EADDRINUSE") return t`another program has it`;
  if (code === "EACCES") return t`this user may not`;
  return code ?? error.message;
}
