import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { missingCredit } from "../../findings/kinds/missingCredit.ts";
import { oncePer } from "../../memo/oncePer.ts";
import type { SongDoc } from "../../rundown/cueDoc.ts";
import { type Credits, findMissingCredits, joinCredits, NO_CREDITS } from "../../words/credits.ts";
import { parseSong } from "../../words/song.ts";
import type { Check } from "../check.ts";
import { changing } from "../mend.ts";

/** Read once for each text: a rundown has hundreds of songs, and is looked through with every edit. */
export const creditsOf = oncePer((doc: SongDoc): Credits => {
  const parsed = parseSong(doc.text, doc.title, { told: doc.told });
  return joinCredits(doc.credits, "song" in parsed ? parsed.song.credits : NO_CREDITS);
});

/** What a song should say of who made it, and does not. */
export const missingCredits: Check = {
  code: missingCredit.code,
  name: "Credits that are missing",
  cue: ({ cue, evening }) =>
    cue.doc.kind !== "song" || cue.doc.isOff
      ? []
      : findMissingCredits(creditsOf(cue.doc), evening.licence).map((finding) => ({
          finding: { ...finding, severity: "warning", subject: cueSubject(cue.cueId) },
          cueId: cue.cueId,
        })),
};

const hidden = defineFinding<{ readonly who: string }>(
  "hiddenCredit",
  "warning",
  ({ who }) => `It is by ${who}, and its credit is shown nowhere.`,
);

/** A song whose credit is known and not shown. */
export const hiddenCredits: Check = {
  code: hidden.code,
  name: "Credits that are not shown",
  cue: ({ cue: { cueId, revision, doc } }) => {
    if (doc.kind !== "song" || doc.isOff || doc.creditAt !== "none") return [];
    const { writers, publicDomain } = creditsOf(doc);
    if (publicDomain || writers === "") return [];
    return [
      {
        finding: hidden(cueSubject(cueId), { who: writers }, "credit"),
        cueId,
        mends: [changing({ cueId, revision, doc }, "Show it on the last slide", { creditAt: "last" })],
      },
    ];
  },
};

const doubtful = defineFinding<{ readonly what: string; readonly said: string }>(
  "doubtfulCredit",
  "note",
  ({ what, said }) => `Its ${what} says “${said}”, which does not look like one.`,
);

/** A credit that is there and can hardly be right. */
export const doubtfulCredits: Check = {
  code: doubtful.code,
  name: "Credits that look wrong",
  cue: ({ cue: { cueId, doc }, evening }) => {
    if (doc.kind !== "song" || doc.isOff) return [];
    const { year, writers } = creditsOf(doc);
    const thisYear = Number(evening.today.slice(0, 4));
    const found = [];
    const years = [...year.matchAll(/\d+/g)].map(([digits]) => Number(digits));
    if (year !== "" && !years.some((each) => each >= 1000 && each <= thisYear + 1))
      found.push({ what: "year", said: year });
    if (/^(?:unknown|n\/?a|\?+|tbc|tbd|xxx+|todo)$/i.test(writers.trim()))
      found.push({ what: "line of who wrote it", said: writers });
    return found.map((figures) => ({ finding: doubtful(cueSubject(cueId), figures, figures.what), cueId }));
  },
};
