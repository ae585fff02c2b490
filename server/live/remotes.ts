import { t } from "../../core/language/t.ts";
import { LATEST_PRESS_MS, mayPress, type RemoteLink, screenOfRemote } from "../../core/remote/remoteLink.ts";
import { type RemoteTold, type RemoteView, remoteViewOf } from "../../core/remote/remoteView.ts";
import type { Actor } from "../../core/show/actor.ts";
import { refusalSentence } from "../../core/show/commands.ts";
import type { ClientMessage, RemotePresence } from "../../core/wire/wire.ts";
import type { Answer, ShowHost } from "../host/showHost.ts";
import type { Rundown } from "../rundown/rundown.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { EveningStore } from "../store/eveningStore.ts";
import type { LinkStore, MadeLink } from "../store/linkStore.ts";
import type { ScreenStore } from "../store/screenStore.ts";
import { type LiveWindow, send } from "./window.ts";
import type { Windows } from "./windows.ts";

export interface RemotesParts {
  readonly windows: Windows;
  readonly host: ShowHost;
  readonly rundown: Rundown;
  readonly contents: Pick<ContentStore, "find">;
  readonly evenings: EveningStore;
  readonly links: Pick<LinkStore, "findMade">;
  readonly screens: Pick<ScreenStore, "outputs">;
  readonly buildId: string;
  readonly now: () => number;
}

/** Another word for every press: it is told to whoever pressed. */
type PressMessage = Extract<ClientMessage, { kind: "press" }>;

/** Phones in hands: each is told what it shows, and presses for what it has seen. */
export class Remotes {
  readonly #parts: RemotesParts;
  #said = "";
  #isDue = false;

  constructor(parts: RemotesParts) {
    this.#parts = parts;
  }

  /** What phones show now. */
  view(): RemoteView {
    const { host, rundown, contents, evenings, now } = this.#parts;
    return remoteViewOf(
      {
        state: host.state,
        cues: rundown.ready(),
        find: (hash) => contents.find(hash),
        evening: evenings.open.name,
      },
      now(),
    );
  }

  /** All that a phone with this link is told now. */
  told({ doc: link }: MadeLink<"remote">, view = this.view()): RemoteTold {
    const screen = screenOfRemote(link, this.#parts.screens.outputs);
    const { id = "", name = "", widthPx = 0, heightPx = 0 } = screen ?? {};
    return { link, screen: screen ? { id, name, widthPx, heightPx } : null, view };
  }

  /** A phone comes, or comes back; or all of them, since what they may do or show is another. */
  welcome(windows: readonly LiveWindow[] = this.#parts.windows.remotes()): void {
    this.#tell(windows, this.view());
  }

  #tell(windows: readonly LiveWindow[], view: RemoteView): void {
    const { buildId, now } = this.#parts;
    for (const window of windows) {
      const link = this.#linkOf(window);
      if (link) send(window, { kind: "remote", serverAtMs: now(), buildId, ...this.told(link, view) });
    }
  }

  /** Something has changed, or time has passed: phones are told once for all of it, if it is anything that they show. */
  tellSoon(): void {
    if (this.#isDue) return;
    this.#isDue = true;
    setImmediate(() => {
      this.#isDue = false;
      const windows = this.#parts.windows.remotes();
      if (windows.length === 0) return;
      const view = this.view();
      const said = JSON.stringify(view);
      if (said === this.#said) return;
      this.#said = said;
      this.#tell(windows, view);
    });
  }

  /** Who is there, for desks. */
  presence(): readonly RemotePresence[] {
    return this.#parts.windows.remotes().flatMap((window) => {
      const link = this.#linkOf(window);
      return link
        ? [{ windowId: window.windowId, linkId: link.id, name: link.doc.name, can: link.doc.can }]
        : [];
    });
  }

  nameOf(window: LiveWindow): string {
    return this.#linkOf(window)?.doc.name ?? "a remote";
  }

  /** Carries a press out, if it is for what is there now. */
  async press(window: LiveWindow, { press, seen, atMs }: PressMessage, id: string): Promise<Answer> {
    const link = this.#linkOf(window);
    if (!link || !mayPress(link.doc, press)) return refused("notAllowed", refusalSentence("notAllowed"));
    const lateMs = this.#parts.now() - atMs;
    if (lateMs > LATEST_PRESS_MS)
      return refused(
        "tooLate",
        t`That press was ${(lateMs / 1_000).toFixed(1)} seconds on its way, so nothing was done. Look, then press again.`,
      );
    // Seen is what the line is and what comes next: of two who press for the same, the second has seen what was.
    return this.#parts.host.press(press, id, actorOf(link.id, link.doc), () =>
      this.view().seen === seen
        ? undefined
        : refused(
            "airMoved",
            t`Somebody went on a moment before, so nothing was done. Look, then press again.`,
          ),
    );
  }

  #linkOf({ link }: LiveWindow): MadeLink<"remote"> | undefined {
    return link?.kind === "remote" ? this.#parts.links.findMade("remote", link.id) : undefined;
  }
}

const actorOf = (id: string, { name }: RemoteLink): Actor => ({ kind: "remote", id, name });

const refused = (why: "notAllowed" | "tooLate" | "airMoved", sentence: string): Answer => ({
  refused: why,
  sentence,
});
