import type { LiveWindow } from "./window.ts";

/** The windows that are open now. */
export class Windows {
  readonly all = new Set<LiveWindow>();

  /** Those that have said who they are. */
  joined(): LiveWindow[] {
    return [...this.all].filter(({ link }) => link !== null);
  }

  desks(): LiveWindow[] {
    return this.joined().filter(({ link }) => link?.kind === "desk");
  }
}
