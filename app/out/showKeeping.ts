import { wornIn } from "../../core/rundown/content.ts";
import { contentsOf } from "../../core/show/state.ts";
import type { ShowCopy } from "../live/showCopy.ts";
import { keepShow } from "./standBy.ts";

/** The show is kept for a start without the server once it has been quiet for this long. */
const KEEP_AFTER_MS = 1_500;

/** Keeps in the browser what an output needs to start with no server. */
export class ShowKeeping {
  readonly #token: string;
  readonly #copy: ShowCopy;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(token: string, copy: ShowCopy) {
    this.#token = token;
    this.#copy = copy;
  }

  /** Keeps it in a quiet moment. */
  soon(): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => this.#keep(), KEEP_AFTER_MS);
  }

  close(): void {
    clearTimeout(this.#timer);
  }

  #keep(): void {
    const copy = this.#copy;
    const { state, outputs, plans } = copy;
    if (!state) return;
    const documents = Object.fromEntries(
      [...contentsOf(state)].flatMap((hash) => {
        const content = copy.documents.get(hash);
        const needed = content?.kind === "page" ? [hash, ...wornIn(content), ...content.media] : [];
        return needed.flatMap((each) => {
          const document = copy.documents.get(each);
          return document ? [[each, document] as const] : [];
        });
      }),
    );
    keepShow(this.#token, { state, outputs, plans, documents }).catch((error) => console.warn(error));
  }
}
