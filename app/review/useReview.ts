import { useCallback, useMemo, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { isManyLines } from "../../core/rundown/understand.ts";
import { isChordPro, readChordPro } from "../../core/words/chordPro.ts";
import { accept, type Offer } from "../../core/words/reader/offers.ts";
import { readSong, type SongReading } from "../../core/words/reader/readSong.ts";
import type { Told } from "../../core/words/reader/told.ts";
import type { SongFields } from "../../core/words/songFields.ts";
import { useLocale } from "../desk/useLocale.ts";
import { languageName } from "../ui/languages.ts";

const NOTHING_TOLD: readonly Told[] = [];

interface Said {
  /** The text that it is said of; with another it is forgotten. */
  readonly typed: string;
  readonly told: readonly Told[];
  readonly fields: Partial<SongFields>;
}

/** A pasted song while it is looked at: how it is read, what was said by hand, what was accepted. */
export function useReview(typed: string) {
  const { language } = useLocale();
  const [said, setSaid] = useState<Said | null>(null);
  const mine = said !== null && typed !== "" && isNear(said.typed, typed) ? said : null;
  const told = mine?.told ?? NOTHING_TOLD;
  const text = useMemo(() => (isChordPro(typed) ? readChordPro(typed).text : typed), [typed]);
  const reading = useMemo((): SongReading | undefined => {
    if (!isManyLines(typed)) return undefined;
    const read = readSong(text, {
      told,
      language,
      title: isChordPro(typed) ? readChordPro(typed).title : "",
    });
    return "problem" in read ? undefined : read.reading;
  }, [typed, text, told, language]);
  const fields = mine?.fields;
  const complete = useCallback(
    (doc: CueDoc): CueDoc => (doc.kind === "song" && fields ? { ...doc, ...fields } : doc),
    [fields],
  );
  return {
    text,
    reading,
    told,
    tell: (now: Told[]) => setSaid({ typed, told: now, fields: fields ?? {} }),
    /** @returns the text that stands there from now on, where it is another */
    accept: (offer: Offer) => {
      const accepted = accept(offer);
      setSaid({ typed: accepted.text ?? typed, told, fields: { ...fields, ...accepted.fields } });
      return accepted.text;
    },
    /** What was accepted beyond the text; empty when nothing was. */
    accepted: [
      fields?.second && t`The second language is ${languageName(fields.second.language) || "set"}.`,
      fields?.order && t`It is sung ${fields.order}.`,
    ]
      .filter(Boolean)
      .join(" "),
    /** The song with what was accepted. */
    complete,
  };
}

/** Whether a text is still the one that something was said of, edited: another paste begins anew. */
const isNear = (before: string, now: string) => {
  const lines = new Set(before.split("\n"));
  const own = now.split("\n");
  return own.filter((line) => lines.has(line)).length >= own.length / 2;
};
