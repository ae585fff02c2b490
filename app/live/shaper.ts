import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import {
  FALLBACK_FONTS,
  mayWantLateFont,
  SHIPPED_FONTS,
  type ShippedFont,
} from "../../core/text/fontList.ts";
import { createHarfBuzzShaper } from "../../core/text/harfbuzz.ts";
import type { Shaper } from "../../core/text/shaper.ts";
import { fetchPatiently } from "../../painters/fetchPatiently.ts";

export interface LoadedShaper {
  readonly shaper: Shaper;
}

/** The fonts to try for letters that others lack: those that ship, then the venue's own as they are now. */
let fallback: readonly string[] = FALLBACK_FONTS;
export const fallbackFonts = (): readonly string[] => fallback;

const listeners = new Set<() => void>();

/** Told when the venue's fonts have changed and are loaded. @returns a function that ends it */
export function onFonts(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** The venue added a font or took one out: this window has it from now on. */
export async function fontsChanged(): Promise<void> {
  const { shaper } = await loadShaper();
  await fetchPatiently(() => loadAdded(shaper));
  for (const listener of listeners) listener();
}

async function loadAdded(shaper: Shaper): Promise<void> {
  const added = await listAdded();
  for (const font of added) if (!shaper.hasFont(font.id)) shaper.addFont(...(await fetchFont(font)));
  fallback = [...FALLBACK_FONTS, ...added.map(({ id }) => id)];
}

let loading: Promise<LoadedShaper> | undefined;

/** The shaper of this window, loaded once; tried again after a failure. Large fonts come when a text needs them. */
export function loadShaper(): Promise<LoadedShaper> {
  loading ??= load().catch((error: unknown) => {
    loading = undefined;
    throw error;
  });
  return loading;
}

async function load(): Promise<LoadedShaper> {
  const atOnce = SHIPPED_FONTS.filter(({ late }) => late === null);
  const [hb, ...files] = await Promise.all([import("harfbuzzjs"), ...atOnce.map(fetchFont)]);
  const shaper = createHarfBuzzShaper(hb, new Map(files));
  await loadAdded(shaper);
  return { shaper };
}

/** Fonts that the venue added by file. */
async function listAdded(): Promise<readonly { readonly id: string }[]> {
  const response = await fetch("/fonts");
  if (!response.ok) throw new Error(`The venue's fonts could not be listed: ${response.status}`);
  return (await response.json()) as { id: string }[];
}

async function fetchFont({ id }: { readonly id: string }): Promise<[string, Uint8Array]> {
  const response = await fetch(`/fonts/${id}`);
  if (!response.ok) throw new Error(`Font ${id} could not be fetched: ${response.status}`);
  return [id, new Uint8Array(await response.arrayBuffer())];
}

/** Everything in a document that fonts are wanted for, as one text. */
export const wordsIn = (document: PinnedDocument): string =>
  document.kind === "page" ? JSON.stringify([document.values, document.flow]) : "";

const LATE: readonly ShippedFont[] = SHIPPED_FONTS.filter(({ late }) => late !== null);

/**
 * Watches for words that want a font which is not loaded yet.
 * @param onLoaded called when one has come: what was laid out without it is to be laid out again
 * @returns a watch: it says whether all that some words want are here, and has the others come
 */
export function createLateFonts(shaper: Shaper, onLoaded: () => void): (words: string) => boolean {
  const asked = new Set<string>();
  return (words) => {
    if (!mayWantLateFont(words)) return true;
    // Words come as JSON: a line ends at a quote or an escaped line feed.
    const lines = words.split(/"|\\n/);
    let areHere = true;
    for (const font of LATE) {
      if (shaper.hasFont(font.id) || !lines.some((line) => font.late?.wanted(line))) continue;
      areHere = false;
      if (asked.has(font.id)) continue;
      asked.add(font.id);
      void fetchPatiently(() => fetchFont(font)).then(([id, bytes]) => {
        shaper.addFont(id, bytes);
        onLoaded();
      });
    }
    return areHere;
  };
}
