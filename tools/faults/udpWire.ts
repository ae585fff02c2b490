import { createSocket, type Socket } from "node:dgram";

/** A network on which packets of devices are lost, come twice or overtake each other. */
export class UdpWire {
  readonly #socket: Socket = createSocket("udp4");
  readonly #random: () => number;
  #to = 0;
  #isBad = false;

  private constructor(random: () => number) {
    this.#random = random;
    this.#socket.on("message", (packet) => this.#pass(packet));
  }

  static async open(random: () => number): Promise<UdpWire> {
    const wire = new UdpWire(random);
    await new Promise<void>((resolve) => wire.#socket.bind(0, "127.0.0.1", resolve));
    return wire;
  }

  /** Where packets are sent that should be passed on. */
  get port(): number {
    return this.#socket.address().port;
  }

  leadTo(port: number): void {
    this.#to = port;
  }

  misbehave(isBad: boolean): void {
    this.#isBad = isBad;
  }

  close(): void {
    this.#socket.close();
  }

  #pass(packet: Buffer): void {
    const send = () => {
      if (this.#to > 0) this.#socket.send(packet, this.#to, "127.0.0.1");
    };
    const luck = this.#isBad ? this.#random() : 1;
    if (luck < 0.4) return;
    if (luck < 0.6) send();
    if (luck < 0.8) setTimeout(send, this.#random() * 150);
    else send();
  }
}
