import { ENGLISH, LANGUAGE_OF_WINDOW, type Language } from "./language.ts";

const here = globalThis as Partial<Record<typeof LANGUAGE_OF_WINDOW, Language>>;

/** Set by a script of the page before all others; a worker is told by its window. */
export const chosen = (): Language => here[LANGUAGE_OF_WINDOW] ?? ENGLISH;
