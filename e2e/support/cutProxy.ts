import { connect, createServer, type Server, type Socket } from "node:net";

/**
 * A network between a window and the server that can be cut: what is open breaks, and nothing comes through until mended. It can also
 * hold everything back, or let each piece come late.
 */
export class CutProxy {
  readonly #server: Server;
  readonly #open = new Set<Socket>();
  #isCut = false;
  #isHeld = false;
  /** How late the next piece comes, ms; undefined: at once. */
  #lateMs: (() => number) | undefined;
  readonly #waiting = new Set<() => void>();

  private constructor(target: number) {
    this.#server = createServer((near) => {
      if (this.#isCut) {
        near.destroy();
        return;
      }
      const far = connect(target, "127.0.0.1");
      for (const [one, other] of [
        [near, far],
        [far, near],
      ] as const) {
        this.#open.add(one);
        one.on("error", () => other.destroy());
        one.on("close", () => {
          this.#open.delete(one);
          other.destroy();
        });
        this.#pass(one, other);
      }
    });
  }

  /** @param base address of the server, such as http://127.0.0.1:4400 */
  static async before(base: string): Promise<CutProxy> {
    const proxy = new CutProxy(Number(new URL(base).port));
    await new Promise<void>((resolve) => proxy.#server.listen(0, "127.0.0.1", resolve));
    return proxy;
  }

  /** The same link, through the proxy. */
  through(link: string): string {
    const address = this.#server.address();
    if (address === null || typeof address === "string") throw new Error("the proxy listens on no port");
    const url = new URL(link);
    url.port = String(address.port);
    return url.href;
  }

  cut(): void {
    this.#isCut = true;
    for (const socket of this.#open) socket.destroy();
  }

  /** Nothing comes through, and nothing breaks. */
  hold(): void {
    this.#isHeld = true;
  }

  /** What is open is deaf for good, and nothing breaks, as where a cable is pulled; whoever comes anew gets through. */
  deafen(): void {
    for (const socket of this.#open) {
      socket.removeAllListeners("data");
      socket.resume();
      socket.on("data", () => {});
    }
  }

  /** Pieces of one connection come late, one after another; those of several overtake each other. */
  slow(lateMs: () => number): void {
    this.#lateMs = lateMs;
  }

  mend(): void {
    this.#isCut = false;
    this.#isHeld = false;
    this.#lateMs = undefined;
    for (const go of this.#waiting) go();
    this.#waiting.clear();
  }

  #pass(from: Socket, to: Socket): void {
    from.on("data", (piece) => {
      const lateMs = this.#lateMs?.() ?? 0;
      if (!this.#isHeld && lateMs === 0) {
        to.write(piece);
        return;
      }
      from.pause();
      const go = () => {
        to.write(piece);
        from.resume();
      };
      if (this.#isHeld) this.#waiting.add(go);
      else setTimeout(go, lateMs);
    });
    from.on("end", () => to.end());
  }

  close(): void {
    this.cut();
    this.#server.close();
  }
}
