import type { LiveWindow } from "./window.ts";

/** The windows that are open now. */
export class Windows {
  readonly all = new Set<LiveWindow>();

  /** Those that have said who they are and are told all of the show; phones are told what they show. */
  joined(): LiveWindow[] {
    return [...this.all].filter(({ link }) => link !== null && link.kind !== "remote");
  }

  remotes(): LiveWindow[] {
    return [...this.all].filter(({ link }) => link?.kind === "remote");
  }

  desks(): LiveWindow[] {
    return this.joined().filter(({ link }) => link?.kind === "desk");
  }
}
