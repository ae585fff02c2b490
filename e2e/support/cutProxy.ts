import { connect, createServer, type Server, type Socket } from "node:net";

/** A network between a window and the server that can be cut: what is open breaks, and nothing comes through until mended. */
export class CutProxy {
  readonly #server: Server;
  readonly #open = new Set<Socket>();
  #isCut = false;

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
        one.pipe(other);
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

  mend(): void {
    this.#isCut = false;
  }

  close(): void {
    this.cut();
    this.#server.close();
  }
}
