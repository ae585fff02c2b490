import { z } from "zod";
import type { Finding } from "../findings/finding.ts";
import { missingCredit } from "../findings/kinds/missingCredit.ts";
import { t } from "../language/t.ts";

/** Who made a song and under which terms it may be shown. */
export const creditsSchema = z.strictObject({
  writers: z.string().max(300).default(""),
  publisher: z.string().max(300).default(""),
  year: z.string().max(40).default(""),
  /** The song's number with the body that licenses it. */
  number: z.string().max(40).default(""),
  publicDomain: z.boolean().default(false),
});
export type Credits = z.infer<typeof creditsSchema>;

export const NO_CREDITS: Credits = { writers: "", publisher: "", year: "", number: "", publicDomain: false };

/** Where a song's credit is shown. */
export const CREDIT_PLACES = ["first", "last", "each", "end", "none"] as const;
export type CreditPlace = (typeof CREDIT_PLACES)[number];

/** What was typed into the fields, and where nothing was, what the text says. */
export function joinCredits(typed: Credits, read: Credits): Credits {
  return {
    writers: typed.writers.trim() || read.writers,
    publisher: typed.publisher.trim() || read.publisher,
    year: typed.year.trim() || read.year,
    number: typed.number.trim() || read.number,
    publicDomain: typed.publicDomain || read.publicDomain,
  };
}

/** "© 1998 Net Loft Press", "Net Loft Press", "Public domain". */
export function publisherLine({ publisher, year, publicDomain }: Credits): string {
  if (publicDomain) return t`Public domain`;
  if (publisher === "" && year === "") return "";
  return ["©", year, publisher].filter((part) => part !== "").join(" ");
}

/** "Song no. 40118 · Licence 40 118": the song's number and the venue's; empty for what needs none. */
export function licenceLine({ publicDomain, number }: Credits, venueLicence: string): string {
  if (publicDomain) return "";
  const venue = venueLicence.trim();
  return [number.trim() && `Song no. ${number.trim()}`, venue && `Licence ${venue}`]
    .filter(Boolean)
    .join(" · ");
}

/** All of it in one line, as it stands under the words. */
export function creditLine(credits: Credits, venueLicence: string): string {
  return [credits.writers, publisherLine(credits), licenceLine(credits, venueLicence)]
    .filter((part) => part !== "")
    .join(" · ");
}

export const MISSING_CREDITS = ["writers", "publisher", "year", "number", "licence"] as const;
export type MissingCredit = (typeof MISSING_CREDITS)[number];

const NAMES: Readonly<Record<MissingCredit, string>> = {
  writers: t`who wrote it`,
  publisher: t`the publisher`,
  year: t`the year`,
  number: t`the song’s licence number`,
  licence: t`the venue’s licence number`,
};

/** What a song that is shown should say and does not. A song in the public domain needs its writers only. */
export function findMissingCredits(credits: Credits, venueLicence: string): Finding[] {
  const missing: MissingCredit[] = [];
  if (credits.writers === "") missing.push("writers");
  if (!credits.publicDomain) {
    if (credits.publisher === "") missing.push("publisher");
    if (credits.year === "") missing.push("year");
    if (credits.number === "") missing.push("number");
    if (venueLicence.trim() === "") missing.push("licence");
  }
  return missing.map((what) => missingCredit({ kind: "song", id: "" }, { what, name: NAMES[what] }, what));
}

/** "who wrote it, the year" */
export const nameMissing = (missing: readonly Finding[]): string =>
  missing.map(({ figures }) => figures.name).join(", ");
