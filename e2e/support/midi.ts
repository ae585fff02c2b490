import type { Page } from "@playwright/test";

/** A pad of keys that is not there: the page finds it as it would find one by Web MIDI. */
export class StandInPad {
  readonly #page: Page;

  private constructor(page: Page) {
    this.#page = page;
  }

  /** To be called before the page is opened. */
  static async plugIn(page: Page): Promise<StandInPad> {
    await page.addInitScript(() => {
      const sent: number[][] = [];
      const input = { name: "Stand-in pad", onmidimessage: null as ((event: object) => void) | null };
      const output = { send: (bytes: number[]) => sent.push([...bytes]) };
      const access = {
        inputs: new Map([["in", input]]),
        outputs: new Map([["out", output]]),
        onstatechange: null,
      };
      Object.assign(window, {
        padSent: sent,
        padSends: (bytes: number[]) => input.onmidimessage?.({ data: Uint8Array.from(bytes) }),
        padIsOpen: () => input.onmidimessage !== null,
      });
      Object.defineProperty(navigator, "requestMIDIAccess", { value: async () => access });
    });
    return new StandInPad(page);
  }

  /** Waits until the page listens to it. */
  async open(): Promise<void> {
    await this.#page.waitForFunction(() => (window as unknown as { padIsOpen: () => boolean }).padIsOpen());
  }

  #send(bytes: readonly number[]): Promise<void> {
    return this.#page.evaluate(
      (data) => (window as unknown as { padSends: (bytes: readonly number[]) => void }).padSends(data),
      bytes,
    );
  }

  down(note: number): Promise<void> {
    return this.#send([0x90, note, 100]);
  }

  up(note: number): Promise<void> {
    return this.#send([0x80, note, 0]);
  }

  /** Whether a key is lit; undefined: nothing was said of it. */
  async isLit(note: number): Promise<boolean | undefined> {
    const sent = await this.#page.evaluate(() => (window as unknown as { padSent: number[][] }).padSent);
    const last = sent.findLast((bytes) => bytes[1] === note);
    return last && (last[2] ?? 0) > 0;
  }
}
