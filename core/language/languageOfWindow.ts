import { ENGLISH, LANGUAGE_OF_WINDOW, type Language } from "./language.ts";

/** Set by a script of the page before all others; a worker is given it by its name. */
export const chosen: Language =
  (globalThis as Partial<Record<typeof LANGUAGE_OF_WINDOW, Language>>)[LANGUAGE_OF_WINDOW] ?? ENGLISH;
