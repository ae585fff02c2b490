import { newId } from "../api/newId.ts";
import type { ViewPath } from "../views.ts";

/** Something to tell the operator, in a sentence. */
export interface Notice {
  readonly id: string;
  readonly tone: "trouble" | "word";
  readonly sentence: string;
  /** A way back, or on. */
  readonly action: NoticeAction | null;
}
export interface NoticeAction {
  readonly label: string;
  readonly act: () => void;
  /** The view in which this is the only way back: there it stays, until it is used, put away, or something else is told. */
  readonly staysIn?: ViewPath;
}

const NOTICE_MS = 9_000;

/** One notice at a time, for a while; one that holds the only way back has no end of its own. */
export class Notices {
  readonly #show: (notice: Notice | null) => void;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(show: (notice: Notice | null) => void) {
    this.#show = show;
  }

  say(tone: Notice["tone"], sentence: string, action: NoticeAction | null = null): void {
    this.dismiss();
    this.#show({ id: newId(), tone, sentence, action });
    if (!action?.staysIn) this.#timer = setTimeout(() => this.#show(null), NOTICE_MS);
  }

  dismiss(): void {
    clearTimeout(this.#timer);
    this.#show(null);
  }
}
