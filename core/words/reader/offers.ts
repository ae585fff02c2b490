import type { SongFields } from "../songFields.ts";
import type { SongReading } from "./readSong.ts";
import { hasSyllables, joinSyllables } from "./syllables.ts";
import { findTwoLanguages, type TwoLanguages } from "./twoLanguages.ts";

/** What may be made of a song beyond reading it; each is asked, never done by itself. */
export type Offer =
  | ({ readonly kind: "twoLanguages" } & TwoLanguages)
  | {
      readonly kind: "syllables";
      readonly joined: string;
      readonly example: readonly [before: string, after: string];
    }
  /** Its refrain stands once, and could be sung after every verse. */
  | { readonly kind: "refrain"; readonly order: string; readonly label: string };

export function offersFor(text: string, reading: SongReading): Offer[] {
  const { song, lines, refrainOnce } = reading;
  const offers: Offer[] = [];
  const two = findTwoLanguages(text, reading);
  if (two) offers.push({ kind: "twoLanguages", ...two });
  const sung = lines.flatMap((line) => (line.kind === "words" ? [line.text] : []));
  if (hasSyllables(sung)) {
    const before = sung.find((line) => joinSyllables(line) !== line) ?? "";
    offers.push({ kind: "syllables", joined: joinSyllables(text), example: [before, joinSyllables(before)] });
  }
  const refrain = song.sections.find(({ key }) => key === refrainOnce);
  if (refrain) {
    const order = song.order
      .filter((key) => key !== refrain.key)
      .flatMap((key) => (key.startsWith("V") ? [key, refrain.key] : [key]));
    offers.push({ kind: "refrain", order: order.join(" "), label: refrain.label });
  }
  return offers;
}

/** What accepting an offer changes: the text that is read, and fields beside it. */
export function accept(offer: Offer): { readonly text?: string; readonly fields: Partial<SongFields> } {
  switch (offer.kind) {
    case "twoLanguages":
      return {
        text: offer.first,
        fields: {
          language: offer.languages[0],
          second: { language: offer.languages[1], text: offer.second },
        },
      };
    case "syllables":
      return { text: offer.joined, fields: {} };
    case "refrain":
      return { fields: { order: offer.order } };
  }
}
