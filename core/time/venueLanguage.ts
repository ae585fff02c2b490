import { z } from "zod";

/** Languages that dates and times can be written in, by BCP 47 tag; the region decides what the language alone leaves open. */
export const VENUE_LANGUAGES = [
  "en-GB",
  "en-US",
  "en-CA",
  "en-AU",
  "es-ES",
  "es-419",
  "pt-PT",
  "pt-BR",
  "fr-FR",
  "fr-CA",
  "de-DE",
  "it-IT",
  "nl-NL",
  "pl-PL",
  "sv-SE",
  "nb-NO",
  "da-DK",
  "fi-FI",
  "cs-CZ",
  "sk-SK",
  "hu-HU",
  "ro-RO",
  "uk-UA",
  "ru-RU",
  "el-GR",
  "tr-TR",
  "ar",
  "he-IL",
  "hi-IN",
  "th-TH",
  "id-ID",
  "vi-VN",
  "sw-KE",
  "zh-CN",
  "zh-TW",
  "ko-KR",
  "ja-JP",
] as const;
export type VenueLanguage = (typeof VENUE_LANGUAGES)[number];

export const venueLanguageSchema = z.enum(VENUE_LANGUAGES);

/** The one of the list that is nearest to a tag: the same, or the first of its language; else British English. */
export function nearestVenueLanguage(tag: string): VenueLanguage {
  const language = tag.split("-")[0];
  return (
    VENUE_LANGUAGES.find((each) => each === tag) ??
    VENUE_LANGUAGES.find((each) => each.split("-")[0] === language) ??
    "en-GB"
  );
}
