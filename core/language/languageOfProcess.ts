import { ENGLISH, type Language } from "./language.ts";
import es from "./messages/es.json" with { type: "json" };

/** Said by the environment, since every thread and every bundle of a program has that. */
const ofProcess: Language = process.env.VESKO_LANGUAGE === "es" ? { code: "es", messages: es } : ENGLISH;

export const chosen = (): Language => ofProcess;
