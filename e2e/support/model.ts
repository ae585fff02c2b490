import { expect, type Page } from "@playwright/test";
import { WebSocket } from "ws";
import { ShowCopy } from "../../app/live/showCopy.ts";
import type { CueView } from "../../core/rundown/edits.ts";
import type { ReadyCue } from "../../core/rundown/readyCue.ts";
import type { AirEvent } from "../../core/show/events.ts";
import type { Target } from "../../core/show/line.ts";
import { findNext } from "../../core/show/next.ts";
import type { ShowState } from "../../core/show/state.ts";
import type { ServerMessage } from "../../core/wire/wire.ts";
import { tokenIn } from "../../test-support/deskPage.ts";

/** The show as the pure core knows it: a copy that hears the same events, and nothing of the windows. */
export class ShowModel {
  readonly #copy = new ShowCopy();
  readonly #socket: WebSocket;
  readonly #pinging: ReturnType<typeof setInterval>;
  readonly #views = new Map<string, CueView>();
  #order: readonly string[] = [];
  /** What happened since it listens. */
  readonly events: AirEvent[] = [];

  private constructor(base: string) {
    this.#socket = new WebSocket(`${base.replace("http", "ws")}/live`);
    this.#socket.on("message", (data) => this.#hear(JSON.parse(String(data)) as ServerMessage));
    this.#pinging = setInterval(
      () => this.#socket.send(JSON.stringify({ kind: "ping", sentAtMs: 0 })),
      2_000,
    );
  }

  /** Listens by the multi-view's link, which a desk knows. */
  static async listen(desk: Page, base: string): Promise<ShowModel> {
    const screens = await desk.evaluate(async () => (await fetch("/screens")).text());
    const token = tokenIn(screens, "watchToken");
    const model = new ShowModel(base);
    await new Promise((resolve) => model.#socket.on("open", resolve));
    model.#socket.send(JSON.stringify({ kind: "hello", token, windowId: "the-model-itself" }));
    await expect.poll(() => model.#copy.state !== undefined && model.#order.length > 0).toBe(true);
    return model;
  }

  get state(): ShowState {
    const { state } = this.#copy;
    if (!state) throw new Error("the model lost its show");
    return state;
  }

  ready(): ReadyCue[] {
    return this.#order.flatMap((cueId, index) => {
      const view = this.#views.get(cueId);
      const hash = view && "hash" in view.compiled ? view.compiled.hash : undefined;
      const content = hash === undefined ? undefined : this.#copy.documents.get(hash);
      return view && hash !== undefined && content?.kind === "page"
        ? [{ cueId, index, hash, content, doc: view.doc }]
        : [];
    });
  }

  next(): Target | undefined {
    return findNext(this.state, this.ready());
  }

  close(): void {
    clearInterval(this.#pinging);
    this.#socket.terminate();
  }

  #hear(message: ServerMessage): void {
    this.#copy.hear(message);
    if (message.kind === "event") this.events.push(message.logged.event);
    if (message.kind !== "rundown") return;
    this.#order = message.order;
    for (const view of message.changed) this.#views.set(view.cueId, view);
  }
}
