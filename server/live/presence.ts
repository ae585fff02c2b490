import { t } from "../../core/language/t.ts";
import type { Actor } from "../../core/show/actor.ts";
import { type Grant, NOTHING_GRANTED, ONLY_SEES } from "../../core/show/capabilities.ts";
import { grantOfMode } from "../../core/show/deskMode.ts";
import type { DeskPresence, RemotePresence } from "../../core/wire/wire.ts";
import { type LiveWindow, send } from "./window.ts";
import type { Windows } from "./windows.ts";

/** Who is at which desk, and what each of them may do. */
export class Presence {
  readonly #windows: Windows;
  readonly #rehearsedOn: () => readonly string[];
  readonly #remotes: () => readonly RemotePresence[];

  /** @param rehearsedOn outputs that show the rehearsal in place of the air */
  constructor(
    windows: Windows,
    rehearsedOn: () => readonly string[],
    remotes: () => readonly RemotePresence[],
  ) {
    this.#remotes = remotes;
    this.#windows = windows;
    this.#rehearsedOn = rehearsedOn;
  }

  /** Tells every desk who is there. */
  tell(): void {
    const desks = this.#windows.desks();
    const present = desks.map(
      (window): DeskPresence => ({
        windowId: window.windowId,
        name: nameOf(window),
        mode: window.desk.mode,
        channel: window.channel,
      }),
    );
    const remotes = this.#remotes();
    for (const window of desks)
      send(window, { kind: "desks", desks: present, remotes, rehearsedOn: this.#rehearsedOn() });
  }

  /** What the person at a desk may do; undefined when no such desk is open. */
  grantOf(windowId: string): Grant | undefined {
    // Loaded again, a window may be there twice for a moment: what it said last counts.
    const desk = this.#windows.desks().findLast((each) => each.windowId === windowId);
    return desk && grantOfWindow(desk);
  }

  /** What people call the desk that a request comes from. @param windowId as the request says it; null: it says none */
  nameOf(windowId: string | null): string {
    const desk = this.#windows.desks().findLast((each) => each.windowId === windowId);
    return desk ? nameOf(desk) : "a desk";
  }

  /** The lowest number that no desk has. */
  freeNumber(): number {
    const taken = new Set(this.#windows.desks().map(({ desk }) => desk.number));
    let number = 1;
    while (taken.has(number)) number++;
    return number;
  }
}

/** What a window may do, by the link it came with and what its desk says. */
export function grantOfWindow({ link, desk }: Pick<LiveWindow, "link" | "desk">): Grant {
  if (!link) return NOTHING_GRANTED;
  return link.kind === "desk" ? grantOfMode(desk.mode) : ONLY_SEES;
}

export const actorOf = (window: LiveWindow): Actor => ({
  kind: "desk",
  id: window.windowId,
  name: nameOf(window),
});

const nameOf = ({ desk }: Pick<LiveWindow, "desk">): string => desk.name || t`Desk ${desk.number}`;
