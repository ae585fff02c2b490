/** Languages of the interface. English is what the source says; each other has its messages beside it. */
export const LANGUAGES = ["en", "es"] as const;
export type LanguageCode = (typeof LANGUAGES)[number];

/** What is said in a language: by what the source says, with values as {0}, {1} and so on, in ICU's syntax of messages. */
export type Messages = Readonly<Record<string, string>>;

/** The language of this program or window. English has no messages: it is said as it stands. */
export interface Language {
  readonly code: LanguageCode;
  readonly messages?: Messages;
}

export const ENGLISH: Language = { code: "en" };

/** What the global scope of a window holds its language under. */
export const LANGUAGE_OF_WINDOW = "veskoLanguage";

/** Where a window takes its messages from. */
export const LANGUAGE_SCRIPT = "/language.js";
