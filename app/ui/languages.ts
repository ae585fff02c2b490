/** Languages to choose from, by BCP 47 tag, in their own words. */
export const LANGUAGES: readonly (readonly [tag: string, name: string])[] = [
  ["en", "English"],
  ["es", "Español"],
  ["pt", "Português"],
  ["fr", "Français"],
  ["de", "Deutsch"],
  ["it", "Italiano"],
  ["nl", "Nederlands"],
  ["pl", "Polski"],
  ["uk", "Українська"],
  ["ru", "Русский"],
  ["el", "Ελληνικά"],
  ["ar", "العربية"],
  ["he", "עברית"],
  ["hi", "हिन्दी"],
  ["th", "ไทย"],
  ["ja", "日本語"],
  ["la", "Latina"],
];

export const languageName = (tag: string): string =>
  LANGUAGES.find(([known]) => known === tag.split("-")[0])?.[1] ?? tag;
