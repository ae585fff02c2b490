import { t } from "../../core/language/t.ts";
/** Languages to choose from, by BCP 47 tag, in their own words. */
export const LANGUAGES: readonly (readonly [tag: string, name: string])[] = [
  ["en", t`English`],
  ["es", t`Español`],
  ["pt", t`Português`],
  ["fr", t`Français`],
  ["de", t`Deutsch`],
  ["it", t`Italiano`],
  ["nl", t`Nederlands`],
  ["pl", t`Polski`],
  ["uk", "Українська"],
  ["ru", "Русский"],
  ["el", "Ελληνικά"],
  ["ar", "العربية"],
  ["he", "עברית"],
  ["hi", "हिन्दी"],
  ["th", "ไทย"],
  ["ja", "日本語"],
  ["la", t`Latina`],
];

export const languageName = (tag: string): string =>
  LANGUAGES.find(([known]) => known === tag.split("-")[0])?.[1] ?? tag;
