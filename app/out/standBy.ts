import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import type { ShowState } from "../../core/show/state.ts";
import type { Output, ScreenPlan } from "../../core/venue/plan.ts";
import type { ImageShelf } from "../../painters/imageShelf.ts";

/** What a window keeps so that it can start with no server. */
export interface KeptShow {
  readonly state: ShowState;
  readonly outputs: readonly Output[];
  readonly plans: readonly ScreenPlan[];
  readonly documents: Readonly<Record<string, PinnedDocument>>;
}

const STORE = "vesko-kept-show";
const addressOf = (token: string) => `/kept/${token.slice(0, 12)}`;

/** A window that has been up for this long is there to stay: then it is kept. */
const KEEP_PAGE_AFTER_MS = 6_000;

/**
 * Has the browser keep this page and what it loaded (`public/keep.js`), so that it opens while the server is away.
 * Browsers allow that over TLS and on the server's own machine.
 * @returns a function that gives it up
 */
export function keepPage(): () => void {
  if (!window.isSecureContext || !("serviceWorker" in navigator)) return () => {};
  const timer = setTimeout(() => {
    const keep = async () => {
      await navigator.serviceWorker.register("/keep.js", { scope: "/out/" });
      const { active } = await navigator.serviceWorker.ready;
      // Clips are too large, and are not shown without the server.
      const loaded = (performance.getEntriesByType("resource") as PerformanceResourceTiming[])
        .filter(({ initiatorType }) => initiatorType !== "video")
        .map(({ name }) => name);
      active?.postMessage({ keep: [location.href, ...new Set(loaded)] });
    };
    keep().catch((error) => console.warn("This window cannot start without the server:", error));
  }, KEEP_PAGE_AFTER_MS);
  return () => clearTimeout(timer);
}

/** Keeps the show as it is now, for the next start. */
export async function keepShow(token: string, show: KeptShow): Promise<void> {
  if (!window.isSecureContext) return;
  const store = await caches.open(STORE);
  await store.put(addressOf(token), new Response(JSON.stringify(show)));
}

/** The show as it was kept last; undefined when nothing was. Our own words, so they are not read with suspicion. */
export async function findKeptShow(token: string): Promise<KeptShow | undefined> {
  if (!window.isSecureContext) return undefined;
  const store = await caches.open(STORE);
  const kept = await store.match(addressOf(token));
  return kept && ((await kept.json()) as KeptShow);
}

/** Loads the stand-by pictures ahead, the output's own and the show's: what was loaded is kept with the page. */
export function loadStandBy({ standBy }: Output, ofShow: ShowState["standBy"], shelf: ImageShelf): void {
  for (const file of [standBy.show === "picture" ? standBy.file : null, ofShow?.file ?? null])
    if (file !== null) shelf.find(file);
}

/** Puts a picture of the library over a half of the output, or takes it away. */
export function coverWith(cover: HTMLElement, file: string | null): void {
  if ((cover.dataset.standBy ?? "") === (file ?? "")) return;
  cover.dataset.standBy = file ?? "";
  cover.style.background = file === null ? "" : `#000 url(/media/${file}) center / cover`;
}
