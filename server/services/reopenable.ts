import { randomUUID } from "node:crypto";
import type { WhileClosed } from "../carry/carry.ts";
import { log } from "../log/log.ts";
import { SerialQueue } from "../queue/serialQueue.ts";
import type { Db } from "../store/database.ts";
import { closeShowFile } from "../store/showFile.ts";
import type { Services } from "./services.ts";

export interface ReopenableParts {
  /** @param isFirst what was said at the start of the program counts once */
  readonly openFile: (isFirst: boolean) => Promise<Db>;
  /** @param shows how many other shows were opened in the place of the first */
  readonly openServices: (db: Db, shows: number) => Promise<Services>;
  /** Who comes from now on comes to these. */
  readonly onOpened: (services: Services) => void;
  /** Nobody can come in for a moment. */
  readonly onClosing: () => void;
}

/**
 * The show that is open, which can be closed and opened again while the server goes on: screens keep their picture and come back by
 * themselves, as after a restart of it.
 */
export class ReopenableShow {
  readonly #parts: ReopenableParts;
  readonly #queue = new SerialQueue();
  #open: { readonly db: Db; readonly services: Services } | undefined;
  #isOver = false;
  #shows = 0;

  constructor(parts: ReopenableParts) {
    this.#parts = parts;
  }

  get services(): Services | undefined {
    return this.#open?.services;
  }

  async open(): Promise<Services> {
    return this.#openNow(true);
  }

  /**
   * Closes the show, does something, and opens it again; when that cannot be, what was done is undone and it is opened as it was.
   * @param empties whether what was on air is of no meaning any more
   */
  reopen(work: WhileClosed, empties: boolean): Promise<void> {
    return this.#queue.run(async () => {
      if (this.#isOver) throw new Error("The server is stopping");
      this.#parts.onClosing();
      await this.#closeNow();
      let undo = () => {};
      try {
        undo = await work();
        if (empties) this.#shows++;
        const { host } = await this.#openNow(false);
        if (empties)
          await host.submit({ kind: "clearEverything", id: randomUUID(), how: "cut" }, { kind: "timer" });
      } catch (error) {
        if (!this.#open) {
          log.error("The show did not open after it was changed; it is opened as it was", error);
          undo();
          await this.#openNow(false);
        }
        throw error;
      }
    });
  }

  /**
   * Closes the show for good when a second machine has all of it.
   * @returns where it goes on; undefined when no machine could lead, and the show is open as it was
   */
  giveOver(): Promise<string | undefined> {
    return this.#queue.run(async () => {
      const second = this.#open?.services.second;
      if (this.#isOver || !second?.isReady) return undefined;
      this.#isOver = true;
      this.#parts.onClosing();
      let address: string | undefined;
      await this.#closeNow(async () => {
        address = await second.giveOver();
      });
      if (address === undefined) {
        // It was lost meanwhile: somebody has to lead.
        this.#isOver = false;
        await this.#openNow(false);
      }
      return address;
    });
  }

  /** Closes the show for good. */
  async close(): Promise<void> {
    this.#isOver = true;
    await this.#queue.run(() => this.#closeNow());
  }

  async #openNow(isFirst: boolean): Promise<Services> {
    const db = await this.#parts.openFile(isFirst);
    try {
      const services = await this.#parts.openServices(db, this.#shows);
      this.#open = { db, services };
      this.#parts.onOpened(services);
      return services;
    } catch (error) {
      await db.destroy();
      throw error;
    }
  }

  async #closeNow(whenWritten?: () => Promise<void>): Promise<void> {
    const open = this.#open;
    if (!open) return;
    this.#open = undefined;
    await open.services.close(whenWritten);
    await closeShowFile(open.db);
  }
}
