import { Client, until } from "../../bench/client.ts";
import type { RunningShow } from "../../e2e/support/runningShow.ts";
import { deskToken } from "../../test-support/deskPage.ts";

/** A desk that takes steps, and knows what was acknowledged. */
export class Taker {
  readonly #client: Client;
  readonly acknowledged: string[] = [];
  #count = 0;
  #isEnded = false;

  private constructor(client: Client) {
    this.#client = client;
  }

  static async join(show: RunningShow): Promise<Taker> {
    const token = await deskToken(show.base);
    const client = new Client(show.base, token, `attack-desk-${Math.random().toString(36).slice(2)}`);
    await until(() => client.welcomes > 0 && client.next !== undefined);
    return new Taker(client);
  }

  get seq(): number {
    return this.#client.seq;
  }

  /** Presses are no faster than the server takes them: 60 in a second. */
  static readonly pauseMs = 20;

  /** One take, from the first step again when the last was reached. @returns how long its answer took, ms */
  async take(prefix = "attack"): Promise<number> {
    while (!this.#client.next && !this.#isEnded) await this.#say({ kind: "beginAnew" });
    const from = performance.now();
    await this.#say(
      {
        kind: "take",
        how: "cut",
        target: this.#client.next,
        builtOn: this.#client.airRevision,
      },
      `${prefix}-take-${this.#count++}-${Date.now()}`,
    );
    return performance.now() - from;
  }

  end(): void {
    this.#isEnded = true;
    this.#client.end();
  }

  async #say(command: object, id = `attack-other-${this.#count++}-${Date.now()}`): Promise<void> {
    this.#client.say({ kind: "command", command: { ...command, id } });
    await until(() => this.#client.answers.has(id) || this.#isEnded);
    const refused = this.#client.answers.get(id);
    if (refused === null) this.acknowledged.push(id);
    // Too fast: a second later it may.
    else if (refused === "tooFast") await new Promise((resolve) => setTimeout(resolve, 1_000));
  }
}
