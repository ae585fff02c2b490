import { t } from "../../core/language/t.ts";

/** How long this machine is not heard before the second one is looked at. */
const LOOK_AFTER_MS = 600;
/** A picture that is not whole by then is shown as it is: the machine that it comes from leads. */
const WHOLE_WITHIN_MS = 5_000;
const ASK_EVERY_MS = 50;

/** Less than a step of light. With none at all the browser would not paint it before it is seen, and then in pieces. */
const UNSEEN = 0.001;

/** The second machine may be gone as well for a while: a page that did not come is asked for again. */
const AGAIN_AFTER_MS = 2_000;

/** What a window says to the one that it stands in: that it runs, and that it shows the whole picture. */
const HERE = "vesko-here";
const WHOLE = "vesko-whole";
/** Marks a window that stands in the one of the machine before. */
const INSIDE = "goes-on";

const nameOf = (token: string) => `vesko-second/${token.slice(0, 12)}`;

/** Browsers may forbid a window that stands in another to keep anything; then it does without. */
function keptAddress(token: string): string | null {
  try {
    return localStorage.getItem(nameOf(token));
  } catch {
    return null;
  }
}

function keepAddress(token: string, address: string | null): void {
  try {
    if (address === null) localStorage.removeItem(nameOf(token));
    else localStorage.setItem(nameOf(token), address);
  } catch {
    // It is told again each time this window connects.
  }
}

/**
 * Has a screen go on when its machine is gone: the second machine's own page of it is opened over this one, unseen, and looks by itself
 * whether that machine leads. When it shows the whole picture it is seen, in place of this one. Both draw the same state at the same
 * time, so nothing jumps.
 */
export class GoOver {
  readonly #token: string;
  readonly #onGone: () => void;
  #address: string | null;
  #frame: HTMLIFrameElement | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #again: ReturnType<typeof setTimeout> | undefined;
  #isThere = false;

  /** @param onGone this window's own picture is not seen any more: it ends */
  constructor(token: string, onGone: () => void) {
    this.#token = token;
    this.#onGone = onGone;
    // A window that was loaded while its machine is away has to know it too.
    this.#address = keptAddress(token);
    window.addEventListener("message", this.#hear);
  }

  /** The second machine is there, or there is none. */
  learn(address: string | null): void {
    this.#address = address;
    keepAddress(this.#token, address);
  }

  /** This window's machine is heard. */
  heard(): void {
    clearTimeout(this.#timer);
    clearTimeout(this.#again);
    this.#timer = undefined;
    this.#isThere = false;
    this.#frame?.remove();
    this.#frame = undefined;
  }

  /** It is not heard. */
  lost(): void {
    if (this.#timer !== undefined || this.#frame) return;
    this.#timer = setTimeout(() => this.#open(), LOOK_AFTER_MS);
  }

  close(): void {
    clearTimeout(this.#timer);
    clearTimeout(this.#again);
    window.removeEventListener("message", this.#hear);
  }

  #open(): void {
    this.#timer = undefined;
    // A window that stands in another leaves it to that one.
    if (this.#address === null || isInside()) return;
    const address = new URL(location.pathname, this.#address);
    for (const [name, value] of new URLSearchParams(location.search)) address.searchParams.set(name, value);
    address.searchParams.set(INSIDE, "");
    const frame = document.createElement("iframe");
    frame.title = t`The same screen, from the second machine`;
    frame.allow = "autoplay; camera; fullscreen";
    frame.src = address.href;
    frame.style.cssText = `position:fixed;inset:0;width:100%;height:100%;border:0;opacity:${UNSEEN};pointer-events:none;background:none;color-scheme:normal`;
    // Loaded is also what a browser says of its own page, on which stands that nothing answers.
    frame.onload = () => {
      clearTimeout(this.#again);
      if (this.#isThere) return;
      this.#again = setTimeout(() => {
        frame.src = address.href;
      }, AGAIN_AFTER_MS);
    };
    this.#frame = frame;
    document.body.append(frame);
  }

  readonly #hear = ({ source, data }: MessageEvent): void => {
    if (!this.#frame || source !== this.#frame.contentWindow) return;
    if (data === HERE) {
      this.#isThere = true;
      clearTimeout(this.#again);
    }
    if (data !== WHOLE) return;
    this.#frame.style.opacity = "1";
    this.#frame.style.pointerEvents = "";
    this.close();
    this.#onGone();
  };
}

const isInside = (): boolean => new URLSearchParams(location.search).has(INSIDE);

/**
 * Tells the window that this one stands in that this one runs, and as soon as it shows the whole picture.
 * @param isWhole whether all of it is here
 * @returns a function that gives it up
 */
export function tellWhole(isWhole: () => boolean): () => void {
  if (!isInside() || window.parent === window) return () => {};
  window.parent.postMessage(HERE, "*");
  const untilMs = performance.now() + WHOLE_WITHIN_MS;
  const timer = setInterval(() => {
    if (!isWhole() && performance.now() < untilMs) return;
    clearInterval(timer);
    // What was asked for in the last frame is painted in this one, and seen in the next.
    requestAnimationFrame(() => requestAnimationFrame(() => window.parent.postMessage(WHOLE, "*")));
  }, ASK_EVERY_MS);
  return () => clearInterval(timer);
}
